import type { Lesson, LessonAnswer } from '@/model/water/lessons'
import {
  doseText,
  inUnits,
  lengthText,
  percentText,
  pHText,
  volumeText,
  weightText,
  windText,
  type UnitSystem,
} from '../base/units'

interface LessonText {
  title: string
  question: string
  guesses: readonly [string, string, string]
  /** What it comes down to, in one sentence. */
  sentence: string
  /** What can be done with it, and the page where that is done. */
  change: { does: string; at: 'containers' | 'mix' | 'water' | 'plan' | 'season' }
}

export const LESSON_TEXTS: Record<Lesson, LessonText> = {
  depth: {
    title: 'Shallow tray and deep tub',
    question:
      'Your mix goes into a tray [6 cm|2.4 in] deep and a tub [40 cm|16 in] deep. Both are watered well and drain. In which does it hold more air?',
    guesses: ['In the tray: it is closer to the open', 'In the tub', 'In both alike: it is the same mix'],
    sentence: 'A mix stays wet at the bottom, and the shallower the container, the more of it is bottom.',
    change: { does: 'Make the container deeper, or the mix coarser for a shallow one', at: 'containers' },
  },
  gravel: {
    title: 'Gravel below',
    question:
      'You put [5 cm|2 in] of gravel under the mix, in the same container. A day after watering, how much air do the roots have in the mix above it?',
    guesses: ['More litres of air than without', 'Fewer litres of air than without', 'About as many'],
    sentence:
      'Gravel takes room from the mix and drains it less than the same depth of mix would: what it gains in air it loses in room.',
    change: { does: 'Leave the layer out and fill with mix, or watch it drain', at: 'water' },
  },
  sand: {
    title: 'Sand in the mix',
    question:
      'You add one part of sharp sand to three parts of your mix. What becomes of its air after draining?',
    guesses: ['More air: sand drains', 'Less air', 'No change'],
    sentence:
      'Sand fills the gaps between coarser grains: only a mix made mostly of sand, or a heavy wet one, is opened by it.',
    change: { does: 'Open the mix with coarse grains such as perlite, pumice or bark', at: 'mix' },
  },
  saucer: {
    title: 'The saucer',
    question:
      'You leave the saucer full after watering, and nothing uses the water for two days. How much more of the mix then has too little air for roots, against a pot that drains freely?',
    guesses: ['No more', 'Up to a tenth of the mix', 'More than a tenth of the mix'],
    sentence:
      'Water left in a saucer is water in the bottom of the pot: empty the saucer after half an hour.',
    change: { does: 'Try it on your mix, with what your crop drinks', at: 'water' },
  },
  buckets: {
    title: 'Three buckets and three buckets',
    question:
      'You measure three buckets of loose materials in your recipe’s shares and stir them. How much mix is it?',
    guesses: ['Three buckets', 'A little under three', 'Well under three: two and a half or less'],
    sentence: 'Fines fall into the gaps between coarse grains, so a mix is always less than what went in.',
    change: { does: 'Buy and measure by the amount to blend, which counts that in', at: 'mix' },
  },
  lime: {
    title: 'Lime that is late',
    question: 'Lime is stirred in and watered. After one week, how much of its work is done?',
    guesses: ['Nearly all', 'A part: a third to three quarters', 'Hardly any'],
    sentence: 'Lime works over weeks: mix it in early, and judge a pH only when six weeks have passed.',
    change: { does: 'See the pH by the week, and set the lime', at: 'mix' },
  },
  gale: {
    title: 'A light mix in a gale',
    question:
      'A gale is forecast and the pot is ready for water. How much does a good watering help it to stand?',
    guesses: ['Much: it bears a wind a quarter stronger or more', 'A little', 'Not at all'],
    sentence:
      'What holds a pot up is its weight and the width of its foot: water is the weight you have at hand.',
    change: { does: 'Add weight low down, widen the foot, or shelter it', at: 'containers' },
  },
  feed: {
    title: 'A bag of feed too much',
    question: 'The dose of feed is given twice by mistake. What happens to the crop?',
    guesses: [
      'It grows twice as well',
      'It bears it, with no more growth',
      'It suffers: the salts are more than it takes',
    ],
    sentence: 'Feed is salt: past what a crop takes up it only makes water harder to drink.',
    change: { does: 'Change the dose on Mix and see the salts', at: 'mix' },
  },
}

/** What is compared in pictures: which guess each side is, where one is pointed at, and the figure written under it. */
export const LESSON_SIDES: Partial<
  Record<Lesson, readonly { name: string; guess: 0 | 1 | null; says: string; figure: string }[]>
> = {
  depth: [
    { name: 'The tray', guess: 0, says: 'More air here', figure: 'tray' },
    { name: 'The tub', guess: 1, says: 'More air here', figure: 'tub' },
  ],
  gravel: [
    { name: 'Mix alone', guess: 1, says: 'More litres of air here', figure: 'litresPlain' },
    { name: 'Over gravel', guess: 0, says: 'More litres of air here', figure: 'litresGravel' },
  ],
  sand: [
    { name: 'As it is', guess: 1, says: 'More air here', figure: 'airBefore' },
    { name: 'With sand', guess: 0, says: 'More air here', figure: 'airAfter' },
  ],
  saucer: [
    { name: 'Draining freely', guess: null, says: '', figure: 'shortFree' },
    { name: 'In the saucer', guess: null, says: '', figure: 'shortSaucer' },
  ],
}
/** Figures of the other lessons that lie on one scale, and the one that is a limit. */
export const LESSON_DOTS: Partial<
  Record<Lesson, { figures: readonly string[]; limit?: string; fromNought: boolean }>
> = {
  buckets: { figures: ['made'], limit: 'measured', fromNought: true },
  lime: { figures: ['pHStart', 'pHWeek', 'pHSix'], fromNought: false },
  gale: { figures: ['windThirsty', 'windWet'], fromNought: true },
  feed: { figures: ['saltsOnce', 'saltsTwice'], limit: 'saltsMost', fromNought: true },
}
/** A figure of a lesson with its name; nothing where it is not among them. */
export function lessonFigure({ figures }: LessonAnswer, wanted: string, units: UnitSystem) {
  const found = figures.find((f) => f.name === wanted)
  if (!found) return null
  const [label, text] = NAMES[wanted]!
  return { label, value: found.value, text: text(found.value, units) }
}

/** The question in the grower's units. */
export const questionText = (lesson: Lesson, units: UnitSystem): string =>
  inUnits(LESSON_TEXTS[lesson].question, units)

const salts = (x: number) => `${x.toFixed(1)} dS/m`
const litres = (x: number, u: UnitSystem) => volumeText(x, u)
const NAMES: Record<string, [label: string, text: (x: number, u: UnitSystem) => string]> = {
  tray: ['Air in the tray', (x) => percentText(x)],
  tub: ['Air in the tub', (x) => percentText(x)],
  mixPlain: ['Mix without gravel', litres],
  mixGravel: ['Mix above gravel', litres],
  litresPlain: ['Air in it without gravel', litres],
  litresGravel: ['Air in it above gravel', litres],
  sharePlain: ['Air as a share, without gravel', (x) => percentText(x)],
  shareGravel: ['Air as a share, above gravel', (x) => percentText(x)],
  airBefore: ['Air now', (x) => percentText(x)],
  airAfter: ['Air with a quarter of sand', (x) => percentText(x)],
  weightBefore: [
    'Dry weight now',
    (x, u) => (u === 'us' ? `${(x * 8.345).toFixed(1)} lb/gal` : `${x.toFixed(2)} kg/L`),
  ],
  weightAfter: [
    'Dry weight with sand',
    (x, u) => (u === 'us' ? `${(x * 8.345).toFixed(1)} lb/gal` : `${x.toFixed(2)} kg/L`),
  ],
  shortFree: ['Mix with less than 10 % air, draining freely', (x) => percentText(x)],
  shortSaucer: ['Mix with less than 10 % air, in the saucer', (x) => percentText(x)],
  saucerLeft: ['Water left in the saucer', (x, u) => lengthText(x, u)],
  made: ['Three buckets make', (x) => `${x.toFixed(2)} buckets`],
  measured: ['Three buckets went in', (x) => `${x.toFixed(0)} buckets`],
  lost: ['Lost on stirring', (x) => percentText(x, 1)],
  dose: ['Lime', doseText],
  pHStart: ['pH before', (x) => pHText(x)],
  pHWeek: ['pH after a week', (x) => pHText(x)],
  pHSix: ['pH after six weeks', (x) => pHText(x)],
  windThirsty: ['Tips, ready for water, at a wind of', windText],
  windWet: ['Tips, just watered, at', windText],
  kgWet: ['Weight of the mix, just watered', (x, u) => weightText(x, u)],
  saltsOnce: ['Salts with the dose', salts],
  saltsTwice: ['Salts with twice the dose', salts],
  saltsMost: ['What the crop bears', salts],
}

export const figureRows = ({ figures }: LessonAnswer, units: UnitSystem): string[][] =>
  figures.map(({ name, value }) => {
    const [label, text] = NAMES[name]!
    return [label, text(value, units)]
  })

/** What came of a guess. Nothing is scored. */
export function cameOf(lesson: Lesson, guess: number, { right }: LessonAnswer): string {
  const answer = LESSON_TEXTS[lesson].guesses[right].replace(/^./, (c) => c.toLowerCase())
  return guess === right ? 'So it is.' : `Not quite. On your mix: ${answer}.`
}
