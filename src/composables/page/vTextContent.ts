import type { ObjectDirective } from 'vue'

/**
 * The words of an element, changed in the text that is there: replacing the text, as a template does, makes the
 * browser take it out of the page's layout and put in another. For figures that change under the hand; the element
 * holds nothing else.
 */
export const vTextContent: ObjectDirective<Element, string> = {
  created(el, { value }) {
    el.textContent = value
  },
  beforeUpdate(el, { value, oldValue }) {
    if (value === oldValue) return
    if (el.firstChild && value !== '') el.firstChild.nodeValue = value
    else el.textContent = value
  },
}
