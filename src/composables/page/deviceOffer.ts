import { shallowRef, type ShallowRef } from 'vue'

/** What browsers ask with when the app may be put on the device; the standard does not name it. */
export interface InstallEvent extends Event {
  prompt: () => Promise<unknown>
}

/** The offer of the browser to install the app; null while there is none. Kept until it is taken, never pressed. */
export const installOffer: ShallowRef<InstallEvent | null> = shallowRef(null)

/** Keeps the offer for whoever asks for it, in place of the bar of the browser. */
export function keepInstallOffer(page: EventTarget = window): void {
  page.addEventListener('beforeinstallprompt', (event) => {
    event.preventDefault()
    installOffer.value = event as InstallEvent
  })
  page.addEventListener('appinstalled', () => (installOffer.value = null))
}
