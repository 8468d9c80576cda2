/** A key pressed where words are written or a list is open is a letter, not a command. */
export const isTyping = ({ target }: KeyboardEvent): boolean =>
  target instanceof HTMLElement &&
  (target.isContentEditable || /^(INPUT|TEXTAREA|SELECT)$/.test(target.tagName))
