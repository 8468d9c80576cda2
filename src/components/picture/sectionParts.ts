import type { Layer } from '@/model/garden/schemas'

/** What is in already, what comes next, what is still to come. */
export type PartState = 'in' | 'next' | 'out'

/** Something that lies in a container from one height to another, cm above its base. */
export interface SectionBand {
  id: string
  from: number
  to: number
  look: 'mix' | 'old' | 'cover' | 'water' | 'lost' | Layer['kind']
  state: PartState
}
/** Words beside a section at a height, cm above its base. */
export interface SectionMark {
  id: string
  at: number
  /** An answer, in large. */
  title: string
  text: string
  state: PartState
}
