interface Lines {
  dressings: { dressingId: string; id?: unknown }[]
}

/** A recipe of a version in which each dressing stood once, with an id for every line: that of its dressing. */
export const withLineIds = <R extends Lines>(of: R): R => ({
  ...of,
  dressings: of.dressings.map((d) => ({ ...d, id: d.dressingId })),
})
