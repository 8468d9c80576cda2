/** A key pressed where words are written is a letter, not a command. */
export const isTyping = (event: KeyboardEvent): boolean =>
  event.target instanceof HTMLElement && /^(INPUT|TEXTAREA)$/.test(event.target.tagName)
