import { describe, expect, test } from 'vitest'
import { acidityCourse, type AcidityInput, type BufferedMix } from '../chemistry'
import { wateringInterval, type WaterUseInput } from '../climate/watering'
import { cropById, LIMES, materialById } from '../data'
import { dressingById } from '../data/dressings'
import { blend, preparedMaterial } from '../mixing'
import { retained } from '../water/retention'
import { baseOfMix, containerProfile, standingWater } from '../water/containerProfile'
import { entryTensionOf, hydraulicsOf } from '../water/moving'
import type { Container } from '../geometry'
import pinned from './pinned.json'

/**
 * Figures as they are today, to nine digits: a step, a bound or a weight that is changed by a tenth moves one of them.
 * What they should be is held elsewhere; PINNED=1 prints them anew after a change that is meant.
 */
const PRINT = process.env['PINNED'] === '1'
const lime = (id: string, gramsPerLitre: number, from = 0) => ({
  lime: LIMES.find((l) => l.id === id)!,
  gramsPerLitre,
  from,
})
const acid = (id: string, gramsPerLitre: number, from = 0) => ({
  dressing: dressingById(id)!,
  gramsPerLitre,
  from,
})
const PEAT: BufferedMix = { pH: 4, bufferCapacity: 30, waterContent: 0.5, liveShare: 0 }
const GRIT: BufferedMix = { pH: 6.8, bufferCapacity: 1, waterContent: 0.15, liveShare: 0.05 }
const COURSES: Record<string, [BufferedMix, AcidityInput]> = {
  'peat, lime and ammonium': [
    PEAT,
    {
      limes: [lime('lime_calcitic', 2.2), lime('lime_dolomitic', 2.2)],
      acids: [acid('ammonium_sulfate', 2)],
    },
  ],
  'grit, hydrated lime, then sulfur and feed from the twentieth day': [
    GRIT,
    {
      limes: [lime('lime_hydrated', 1.5)],
      acids: [acid('sulfur_elemental', 1, 20), acid('crf_5_6', 3, 6)],
      waterAlkalinity: 0.05,
      temperature: 14,
    },
  ],
}

const at = (id: string) => {
  const { retention } = preparedMaterial(materialById(id)!)
  return (tension: number) => retained(retention, tension)
}
const pores = (id: string) => materialById(id)!.properties.totalPorosity.value
const layer = (id: string, top: number) => ({
  top,
  totalPorosity: pores(id),
  waterAt: at(id),
  entryTension: entryOf(id),
})
const entryOf = (id: string) => {
  const mixed = blend([{ material: preparedMaterial(materialById(id)!), parts: 1 }])
  return mixed.ok ? entryTensionOf(hydraulicsOf(mixed.value)) : NaN
}
const pot = (base: Container['base'], height = 28): Container => ({
  shape: { kind: 'roundPot', topDiameter: 30, baseDiameter: 22, height },
  headspace: 3,
  base,
})
const PROFILES: Record<string, [Container, ReturnType<typeof layer>[], number?]> = {
  'mix on gravel on grit': [
    pot({ kind: 'drainHoles' }),
    [layer('gravel_pea', 4), layer('grit_2_6', 7), layer('peat_medium', 25)],
  ],
  'mix on sand, coarse steps': [
    pot({ kind: 'drainHoles' }),
    [layer('sand_coarse', 5), layer('coir_pith', 25)],
    9,
  ],
}

const figures = () => ({
  acidity: Object.fromEntries(
    Object.entries(COURSES).map(([name, [mix, input]]) => [
      name,
      acidityCourse(mix, input, 63, 7).flatMap((s) => [
        s.day,
        s.pH,
        s.reacted,
        s.acid,
        s.laidDown,
        s.fromWater,
      ]),
    ]),
  ),
  water: Object.fromEntries(
    Object.entries(PROFILES).map(([name, [container, layers, slices]]) => {
      const p = containerProfile(container, layers, slices)
      return [
        name,
        [
          p.airFilledPorosity,
          p.containerCapacity,
          p.drainedToEasy,
          p.waterBufferingCapacity,
          p.plantAvailableWater,
          p.mixVolume,
          p.saturatedHeight,
          p.baseTension,
          p.slices.length,
          standingWater(p),
          baseOfMix(
            container,
            layers.slice(0, -1).map((l, i) => ({
              thickness: l.top - (layers[i - 1]?.top ?? 0),
              entryTension: l.entryTension,
            })),
          ),
          ...layers.map((l) => l.entryTension),
        ],
      ]
    }),
  ),
})

const waterings = () =>
  Object.fromEntries(
    (['pepper_sweet'] as const).map((id) => [
      id,
      (['sheltered', 'open', 'exposed'] as const).flatMap((exposure) =>
        (
          [
            [1, 0.1, 1],
            [4, 2.9, 1],
            [2, 0.02, 0.2],
            [1, 0.05, 0],
          ] as const
        ).flatMap(([plants, surface, share]) => {
          const input: WaterUseInput = {
            reference: 4.2,
            crop: cropById(id)!,
            plants,
            surface,
            perimeter: Math.sqrt(surface) * 4,
            wall: 0.05,
            wallKind: 'fabric',
            leaf: { share, coefficient: 0.9 },
            wetTop: share < 1,
            exposure,
            rain: 3,
          }
          const water = { mixVolume: 18, drainedToEasy: 0.2, plantAvailableWater: 0.45 }
          const { use, rain, rooted, usable, depletion, days } = wateringInterval(water, input)
          return [
            use.low,
            use.value,
            use.high,
            rain,
            rooted,
            usable,
            depletion,
            days.low,
            days.value,
            days.high,
          ]
        }),
      ),
    ]),
  )

describe('figures as they are', () => {
  const now: Record<string, Record<string, number[]>> = {
    ...figures(),
    watering: waterings(),
  }
  if (PRINT) console.log(JSON.stringify(now))
  for (const subject of Object.keys(now))
    test.each(Object.keys(now[subject]!))(`${subject}: %s`, (name) => {
      const expected = (pinned as Record<string, Record<string, number[]>>)[subject]![name]!
      const found = now[subject]![name]!
      expect(found).toHaveLength(expected.length)
      for (const [i, value] of found.entries())
        expect(Math.abs(value - expected[i]!), `figure ${i}: ${value}`).toBeLessThanOrEqual(
          1e-9 * Math.max(1, Math.abs(expected[i]!)),
        )
    })
})
