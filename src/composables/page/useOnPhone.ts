import { useMediaQuery } from '@vueuse/core'

/** Whether the page is as narrow as a phone: the same width at which the styles change. */
export const useOnPhone = () => useMediaQuery('(max-width: 760px)')
