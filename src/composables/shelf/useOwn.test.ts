import { describe, expect, test } from 'vitest'
import { DEFAULT_SETTINGS } from '@/model/garden/garden'
import type { Command } from '@/model/garden/commands'
import { ownDressingKey } from '@/model/garden/garden'
import type { AnyData } from '@/model/garden/schemas'
import { tablesOf } from '@/model/garden/tables'
import { usualLine } from '@/model/mix/doses'
import { useOwn } from './useOwn'

const door = () => {
  const ran: Command[] = []
  return {
    ran,
    records: new Map(),
    settings: DEFAULT_SETTINGS,
    run: (command: Command) => void ran.push(command),
  }
}

describe('what is described of one’s own', () => {
  test('a new material begins empty under an id of its own, and is kept', () => {
    const garden = door()
    const own = useOwn(garden)
    expect(own.material.value).toBeNull()
    own.describeMaterial()
    const fresh = own.material.value!
    expect(fresh).toMatchObject({ name: '', pH: null, bucket: null, retired: false })
    expect(fresh.id).toMatch(/^own:.+/)
    own.keepMaterial({ ...fresh, name: 'Heap' })
    expect(garden.ran).toEqual([{ type: 'ownMaterial/set', material: { ...fresh, name: 'Heap' } }])
    expect(own.material.value).toBeNull()
  })
  test('one of the shelf is opened as it is; a copy gets a name and an id of its own and is offered', () => {
    const garden = door()
    const own = useOwn(garden)
    own.describeDressing()
    const feed = { ...own.dressing.value!, name: 'Feed', retired: true }
    own.describeDressing(feed)
    expect(own.dressing.value).toBe(feed)
    own.describeDressing(feed, true)
    const copy = own.dressing.value!
    expect(copy).toMatchObject({ name: 'Feed, copy', retired: false, label: feed.label })
    expect(copy.id).not.toBe(feed.id)
    own.keepDressing(copy)
    expect(garden.ran.map((c) => c.type)).toEqual(['ownDressing/set'])
  })
  // Said at once: "All-round 4-4-4" was kept and not given, for its row came a moment after the press.
  test('what was just kept is known to every lookup at once, the first of a garden too', () => {
    const records = new Map<string, AnyData>()
    const own = useOwn({
      records,
      run: (command: Command) => {
        if (command.type === 'ownDressing/set')
          records.set(ownDressingKey(command.dressing.id), command.dressing)
      },
    })
    own.describeDressing()
    const feed = {
      ...own.dressing.value!,
      name: 'Shed pellets',
      label: { nitrogen: 4, phosphate: 4, potash: 4 },
    }
    own.keepDressing(feed)
    expect(usualLine(feed.id, [], tablesOf(records))?.dressingId).toBe(feed.id)
  })
  test('shut without a word, nothing is kept', () => {
    const garden = door()
    const own = useOwn(garden)
    own.describeMaterial()
    own.describeDressing()
    own.close()
    expect([own.material.value, own.dressing.value, garden.ran]).toEqual([null, null, []])
  })
})
