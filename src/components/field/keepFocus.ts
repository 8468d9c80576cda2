/**
 * For `@blur.capture` on whatever holds a PrimeVue Select or MultiSelect with a filter.
 *
 * Opening one moves the focus from its box to the filter in its overlay; the box hears a blur, and a tenth of a
 * second later forgets which option the arrow keys have reached, so that Enter chooses nothing. A blur that goes into
 * an overlay of the list is kept from the box.
 */
export function keepFocus(event: FocusEvent) {
  const into = event.relatedTarget
  if (into instanceof Element && into.closest('.p-select-overlay, .p-multiselect-overlay'))
    event.stopPropagation()
}
