/** What a sentence of the interface is filled with: nothing is written for what is not there. */
export type Shown = string | number
