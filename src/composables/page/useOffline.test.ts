import { describe, expect, test } from 'vitest'
import { installOffer, keepInstallOffer, type InstallEvent } from './deviceOffer'
import { keepOffline, useOffline, type Register } from './useOffline'

type On = Parameters<Register>[0]
/** A register module that tells what a test says. */
const registering = (say: (on: On) => void) => {
  const reloads: (boolean | undefined)[] = []
  const register: Register = (on) => {
    say(on)
    return (reload) => Promise.resolve(void reloads.push(reload))
  }
  return { load: () => Promise.resolve(register), reloads }
}

describe('the app on the device', () => {
  const { kept, newer, useNewer, later } = useOffline()
  test('fetched, then all of it; at once where it was kept before', async () => {
    await keepOffline(registering((on) => on.onRegisteredSW('/sw.js', { active: null })).load)
    expect(kept.value).toBe('fetching')
    await keepOffline(registering((on) => on.onOfflineReady()).load)
    expect(kept.value).toBe('all')
    await keepOffline(registering((on) => on.onRegisteredSW('/sw.js', { active: {} })).load)
    expect(kept.value).toBe('all')
  })
  test('a browser that keeps nothing, or a module that is gone, leaves all as it is', async () => {
    await keepOffline(registering((on) => on.onRegisterError(new Error('not here'))).load)
    expect(kept.value).toBe('no')
    await keepOffline(() => Promise.reject(new Error('gone')))
    expect(kept.value).toBe('no')
  })
  test('a newer version waits for a word: now, or with the next start', async () => {
    const { load, reloads } = registering((on) => on.onNeedRefresh())
    await keepOffline(load)
    expect([newer.value, reloads]).toEqual([true, []])
    later()
    expect([newer.value, reloads]).toEqual([false, []])
    await keepOffline(load)
    await useNewer()
    expect([newer.value, reloads]).toEqual([false, [true]])
  })
  test('the offer to install is kept, not shown, and gone once it is taken', () => {
    const page = new EventTarget()
    keepInstallOffer(page)
    const offer = Object.assign(new Event('beforeinstallprompt', { cancelable: true }), {
      prompt: () => Promise.resolve(),
    }) as InstallEvent
    page.dispatchEvent(offer)
    expect(offer.defaultPrevented).toBe(true)
    expect(installOffer.value).toBe(offer)
    page.dispatchEvent(new Event('appinstalled'))
    expect(installOffer.value).toBeNull()
  })
})
