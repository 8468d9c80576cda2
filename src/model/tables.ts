import { MATERIALS, type Material } from '@/core/data'

/** A material of the tables by id; apart from the reckoning, so that a name needs none of it. */
export const materialById = (id: string): Material | undefined => MATERIALS.find((m) => m.id === id)
