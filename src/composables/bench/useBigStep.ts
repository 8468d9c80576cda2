import { useWakeLock } from '@vueuse/core'
import { computed, onScopeDispose, watch, type ComputedRef } from 'vue'
import { tickOf } from '@/model/garden/commands'
import type { Job, Settings } from '@/model/garden/schemas'
import { isDone, type BatchCard } from '@/model/make/batchCard'
import { countIn, pressesOf } from '@/model/make/tally'
import { spokenText } from '@/text/make/making'
import type { UnitSystem } from '@/text/base/units'

/** Keeps the screen awake as long as it is wanted. */
function useAwake(wanted: ComputedRef<boolean>) {
  const wake = useWakeLock()
  watch(
    wanted,
    (on) => {
      // A phone that will not stay awake is no reason to stop.
      if (on && wake.isSupported.value) wake.request('screen').catch(() => undefined)
      else if (wake.isActive.value) void wake.release()
    },
    { immediate: true },
  )
  onScopeDispose(() => {
    if (wake.isActive.value) void wake.release()
  })
}

/** A batch one big step at a time: counted press by press, every press kept at once; the screen stays awake. */
export function useBigStep(
  garden: { readonly settings: Settings; setSettings: (change: Partial<Settings>) => void },
  given: {
    job: ComputedRef<Job | undefined>
    card: ComputedRef<BatchCard | undefined>
    units: ComputedRef<UnitSystem>
    tick: (lineId: string, done: boolean) => void
    keepTally: (tally: Job['tally']) => void
  },
) {
  const { job, card, units, tick, keepTally } = given
  const big = computed(() => garden.settings.bigSteps && card.value !== undefined && !isDone(card.value))
  const isIn = (lineId: string) => job.value!.ticks.includes(tickOf(card.value!.index, lineId))
  const at = computed(() => (card.value ? card.value.lines.findIndex((l) => !isIn(l.id)) : -1))
  const line = computed(() => card.value?.lines[at.value])
  const count = computed(() =>
    line.value && card.value ? countIn(job.value!.tally, card.value.index, line.value) : 0,
  )
  useAwake(big)

  const speaks = 'speechSynthesis' in globalThis
  return {
    big,
    line,
    at,
    count,
    speaks,
    press() {
      const now = line.value
      if (!now) return
      if (count.value + 1 < pressesOf(now).length)
        keepTally({ of: tickOf(card.value!.index, now.id), count: count.value + 1 })
      else tick(now.id, true)
    },
    /** One filling back; from the first the measure before is open again. */
    back() {
      const now = line.value
      if (now && count.value > 0) {
        keepTally({ of: tickOf(card.value!.index, now.id), count: count.value - 1 })
        return
      }
      const before = card.value?.lines[at.value === -1 ? card.value.lines.length - 1 : at.value - 1]
      if (before) tick(before.id, false)
    },
    setBig: (bigSteps: boolean) => garden.setSettings({ bigSteps }),
    say() {
      if (!line.value) return
      speechSynthesis.cancel()
      speechSynthesis.speak(new SpeechSynthesisUtterance(spokenText(line.value, units.value)))
    },
  }
}
