import { computed, nextTick, ref, type Ref } from 'vue'
import { daysAfter, daysBetween } from '@/model/calendar/movedDay'
import { dayText } from '@/text/base/dates'
import { movedOn, type Strip, type TimeItem } from './timeStrip'

/** Days one press of a key moves a task. */
const KEYS: Readonly<Record<string, number>> = { ArrowLeft: -1, ArrowRight: 1, PageDown: -7, PageUp: 7 }
/** A press that strays by less is not a drag, px. */
const STILL = 4

/** What a task says of itself to a screen reader: a slider over the days. */
const sliderOf = (item: TimeItem, { begin, days }: Strip, isAtHand: boolean) => ({
  role: 'slider',
  tabindex: isAtHand ? 0 : -1,
  'aria-label': item.title,
  'aria-valuemin': 0,
  'aria-valuemax': days - 1,
  'aria-valuenow': daysBetween(begin, item.on),
  'aria-valuetext': dayText(item.on),
})

/** Tasks of a strip that are moved by hand or by keys: one of them is a step of Tab, up and down go between them. */
export function useMoving(strip: Ref<Strip>, move: (id: string, on: string) => void) {
  const held = ref<{ id: string; from: number; by: number; on: string } | null>(null)
  const atHand = ref<string | null>(null)
  const movable = computed(() => strip.value.items.filter((i) => i.movable))
  const first = computed(() => movable.value.find((i) => i.id === atHand.value) ?? movable.value[0])
  const dayWidth = () => {
    const { at, begin } = strip.value
    return at(daysAfter(begin, 1)) - at(begin)
  }
  const put = (item: TimeItem, on: string) => {
    if (on !== item.on) move(item.id, on)
  }
  function take(item: TimeItem, event: PointerEvent) {
    if (event.button !== 0) return
    ;(event.currentTarget as Element).setPointerCapture(event.pointerId)
    atHand.value = item.id
    held.value = { id: item.id, from: event.clientX, by: 0, on: item.on }
  }
  function drag(item: TimeItem, event: PointerEvent) {
    const h = held.value
    if (h?.id !== item.id) return
    const px = event.clientX - h.from
    const on = Math.abs(px) < STILL ? item.on : movedOn(item, Math.round(px / dayWidth()), strip.value)
    held.value = { ...h, on, by: daysBetween(item.on, on) * dayWidth() }
  }
  function drop(item: TimeItem) {
    const h = held.value
    held.value = null
    if (h?.id === item.id) put(item, h.on)
  }
  function press(item: TimeItem, event: KeyboardEvent) {
    const by = KEYS[event.key]
    const step = event.key === 'ArrowDown' ? 1 : event.key === 'ArrowUp' ? -1 : 0
    if (by === undefined && step === 0) return
    event.preventDefault()
    const host = (event.currentTarget as Element).parentElement!
    const list = movable.value
    const next = by === undefined ? list[list.findIndex((i) => i.id === item.id) + step] : item
    if (!next) return
    atHand.value = next.id
    if (by !== undefined) put(item, movedOn(item, by, strip.value))
    // A task that passes another changes its place in the list: the keyboard stays with it.
    void nextTick(() => {
      const at = movable.value.findIndex((i) => i.id === next.id)
      host.querySelectorAll<SVGElement>('[role=slider]')[at]?.focus()
    })
  }
  const handle = (item: TimeItem) => sliderOf(item, strip.value, first.value?.id === item.id)
  const listeners = (item: TimeItem) => ({
    pointerdown: (event: PointerEvent) => take(item, event),
    pointermove: (event: PointerEvent) => drag(item, event),
    pointerup: () => drop(item),
    pointercancel: () => (held.value = null),
    keydown: (event: KeyboardEvent) => press(item, event),
    focus: () => (atHand.value = item.id),
  })
  return { held, handle, listeners }
}
