import { z } from 'zod/mini'
import { LONGEST_NAME } from '../limits'

// Zod would otherwise try to compile its checks with `new Function`, which the page's security policy forbids.
z.config({ ...z.locales.en(), jitless: true })

/** Any real number: whether it makes sense is for the core to say, next to the field it was typed in. */
export const number = z.number()
export const text = (max: number) => z.string().check(z.maxLength(max))
export const name = text(LONGEST_NAME)
export const id = z.string().check(z.minLength(1), z.maxLength(80))
