import { z } from 'zod'
import { LONGEST_NAME } from '../limits'

// Zod would otherwise try to compile its checks with `new Function`, which the page's security policy forbids.
z.config({ jitless: true })

/** Any real number: whether it makes sense is for the core to say, next to the field it was typed in. */
export const number = z.number()
export const text = (max: number) => z.string().max(max)
export const name = text(LONGEST_NAME)
export const id = z.string().min(1).max(80)
