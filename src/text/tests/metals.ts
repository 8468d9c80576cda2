import type { Averaged, TestFigure } from '@/core/fieldTests'
import { METAL_FIELD, METALS, readMetals, type Metal, type MetalReading } from '@/core/safety'
import { allOf } from '../base/labels'
import { numberText } from '../base/counted'

const limitText = ({ name, year, value }: MetalReading['passes'][number]): string =>
  `${numberText(value, value < 10 ? 1 : 0)} (${name} ${year})`
const nameOf = (metal: Metal): string => metal.charAt(0).toUpperCase() + metal.slice(1)

/** What a metal above a limit asks for. */
const DO: Record<Metal, Record<'care' | 'stop', string>> = {
  lead: {
    care: 'No leaf or root crops for small children; fruit crops, peeled and washed. Keep pH near 7, mulch bare soil.',
    stop: 'Grow no food in it: a raised bed of clean mix over a barrier.',
  },
  arsenic: {
    care: 'No leaf or root crops; wash and peel. No more phosphate than the crop needs: it sets arsenic free.',
    stop: 'Grow no food in it: a raised bed of clean mix over a barrier.',
  },
  cadmium: {
    care: 'Leaf crops and roots take it up most: grow fruits. Keep pH near 7; no rock phosphate.',
    stop: 'Grow no food in it: a raised bed of clean mix over a barrier.',
  },
  copper: {
    care: 'Plants bear it near pH 7. No copper sprays, no more slurry.',
    stop: 'Roots suffer: lime to pH 7, or change the soil.',
  },
  zinc: {
    care: 'Plants bear it near pH 7. Look for galvanised metal and tyres.',
    stop: 'Roots suffer: lime to pH 7, or change the soil.',
  },
  nickel: {
    care: 'Plants bear it near pH 7. Serpentine ground holds more by nature: ask locally.',
    stop: 'Have it looked at before you grow food in it.',
  },
  mercury: {
    care: 'Look for its source before you grow food in it.',
    stop: 'Grow no food in it, and ask your health department.',
  },
}

function metalText({ metal, value, grade, passes, keeps }: MetalReading): string {
  const has = `${nameOf(metal)} ${numberText(value, value < 10 ? 1 : 0)} mg/kg`
  const above = passes.length > 0 ? ` is above ${allOf(passes.map(limitText))}` : ''
  const below = keeps.length > 0 ? ` keeps ${allOf(keeps.map(limitText))}` : ''
  const against = `${above}${above && below ? ' and' : ''}${below}`
  return `${has}${against || ' has no published limit here'}.${grade === 'fine' ? '' : ` ${DO[metal][grade]}`}`
}

/** What metals of a report mean, the gravest first; `onMix` for soil and beds, else for compost by itself. */
export function metalsFollow(figures: Partial<Record<TestFigure, Averaged>>, onMix: boolean): string[] {
  const found = Object.fromEntries(
    METALS.flatMap((metal) => {
      const read = figures[METAL_FIELD[metal]]
      return read ? [[metal, read.mean]] : []
    }),
  ) as Partial<Record<Metal, number>>
  const read = readMetals(found, onMix ? 'soil' : 'compost')
  if (read.length === 0) return []
  return [
    ...read.map(metalText),
    'Limits differ from land to land: follow your local rules, and ask your health department and the laboratory.',
  ]
}
