import { ELEMENT_NAMES, SOIL_NAMES } from './elements'
import type { LabMethod } from '@/core/laboratory'
import type { FieldTest, TestField, TestFigure, TestProblem } from '@/core/fieldTests'
import type { Quantity } from '../base/units'

/** A step of a test; `wait` in minutes is what a timer is set to. "[metric|US]" as `inUnits` reads it. */
export interface TestStep {
  text: string
  wait?: number
}
export interface TestText {
  name: string
  /** What it tells, in a line. */
  tells: string
  kit: string
  steps: readonly TestStep[]
  /** What it can be done on. */
  on: readonly ('mix' | 'material')[]
  /** Where the hands or the lungs want care. */
  caution?: string
}

const SAMPLE = 'Take six small grabs from all over the heap or bed, pool them, and take the sample from that.'
const METER = 'Check the pH meter in both buffers (4 and 7) and rinse it with rain water.'
/** Source: potassium chloride, 0.01 mol/L, at 25 C; common practice. */
const SALTS_METER =
  'Check the salts meter in its standard of 1.413 dS/m, at [25 °C|77 °F] or with the meter set to the temperature.'
const DUSTY = 'Dry material gives off dust: do it outside, with a mask, upwind.'
const BOTH = ['mix', 'material'] as const

/** How each test is done. Source: common practice; the rest from memory, see docs/method/tests.md. */
export const TEST_TEXTS: Record<FieldTest, TestText> = {
  slurry: {
    name: 'pH and salts in a slurry',
    tells: 'How acid it is and how salty, with one measure of mix in two of water.',
    kit: 'Cup, jar, rain or distilled water, a pH meter with fresh buffers or strips; a salts meter.',
    on: BOTH,
    steps: [
      { text: `${SAMPLE} It is as damp as for potting.` },
      { text: 'One measure of mix, lightly tapped, and two of rain water into the jar; stir for a minute.' },
      { text: 'Cover it, and stir twice more while you wait.', wait: 30 },
      { text: METER },
      { text: SALTS_METER },
      {
        text: 'Let it settle. Dip into the clear water on top and wait until the reading is steady.',
        wait: 2,
      },
      { text: 'Do a second sample. Where two pH differ by more than 0.3, do a third.' },
    ],
  },
  paste: {
    name: 'pH and salts in a paste',
    tells: 'What roots meet: the extract of a mix that is just full of water.',
    kit: 'Bowl, rain water, spoon, coffee filter with a funnel or a syringe, both meters.',
    on: BOTH,
    steps: [
      { text: `${SAMPLE} [Half a litre|A pint] of it goes into the bowl.` },
      {
        text: 'Stir in water bit by bit until it shines and slides off the spoon, with no water standing on it.',
      },
      {
        text: 'Cover it. Where it has stiffened add a little water; where water stands, a little mix.',
        wait: 60,
      },
      { text: `${METER} Read pH in the paste itself.` },
      { text: SALTS_METER },
      { text: 'Press some [30 mL|ounce] of water through the filter, read its salts and its temperature.' },
    ],
  },
  pourThrough: {
    name: 'pH and salts of what runs through',
    tells:
      'Salts and pH of a planted pot, without digging in it. Poor in very large pots and with coated feed.',
    kit: 'Saucer, rain water, cup, both meters.',
    on: ['mix'],
    steps: [
      { text: 'Water the pot as ever until some runs out, and let it stand.', wait: 45 },
      { text: 'Stand it on a clean dry saucer, lifted on pegs.' },
      {
        text: 'Pour rain water evenly on top: some [75 mL|2.5 oz] on a pot of [2 L|half a gallon], [150 mL|5 oz] on [4 L|a gallon], [350 mL|12 oz] on [12 L|3 gallons].',
      },
      { text: 'Stop when [50 mL|2 oz] have come through. Where far more came, the reading is thinned.' },
      { text: METER },
      { text: SALTS_METER },
      { text: 'Read salts and pH within the hour. Do three pots; each is a repeat.' },
    ],
  },
  laboratory: {
    name: 'Laboratory report',
    tells: 'What a laboratory found in the water of a mix: read for what grows there, with what to give.',
    kit: 'The report; look for the method (saturated extract, pour-through, 1:2, 1:1.5, 1:5) and the units.',
    on: ['mix'],
    steps: [
      { text: `${SAMPLE} [Half a litre|A pint] in a clean bag, damp, not packed.` },
      {
        text: 'Ask for a test of growing media. A test for field soil reads nonsense on peat, bark or coir.',
      },
      { text: 'When the report is here: choose its method, then type or paste what it prints.' },
      { text: 'Change one thing. Have it tested again after two or three weeks.' },
    ],
  },
  soilReport: {
    name: 'Laboratory report on field soil',
    tells: 'What the soil of a bed holds for vegetables, and what to give or leave out.',
    kit: 'A report in mg for a kg of dry soil (ppm), with the name of its method.',
    on: ['mix'],
    steps: [
      {
        text: 'Take ten to fifteen cores over the bed, [20 cm|8 inches] deep, the same depth each year, and mix them.',
      },
      {
        text: 'Ask for a test of field soil. On peat, bark or coir it reads nonsense: ask for growing media there.',
      },
      { text: 'When the report is here: choose its method for phosphorus, then type what it prints.' },
    ],
  },
  metals: {
    name: 'Metals in soil or compost',
    tells: 'Whether lead, arsenic and other metals of a laboratory report allow food to grow in it.',
    kit: 'A report in mg for a kg of dry matter, from a certified laboratory.',
    on: BOTH,
    caution:
      'Wash your hands after soil of doubtful ground, keep small children off it bare, and take shoes off at the door.',
    steps: [
      { text: 'Take ten to fifteen cores over the bed, as deep as you dig, and mix them.' },
      { text: 'Take one more sample where paint, a road, a fire or treated wood is near.' },
      {
        text: 'Send half a litre to a certified laboratory; ask for lead, arsenic, cadmium, copper, zinc and nickel.',
      },
      { text: 'Type what it prints. What it did not test stays empty.' },
    ],
  },
  drainedAir: {
    name: 'Air and water in a drained pot',
    tells: 'How much air is left after watering, at the depth of that pot, and how much water is held.',
    kit: 'A pot of the depth you grow in, tape, measuring jug, tray; a scale for the water.',
    on: BOTH,
    steps: [
      {
        text: 'Tape the holes shut. Fill the empty pot with water to the fill line and measure it: the volume.',
      },
      { text: 'Empty it. Fill it with damp mix to the line, tapped three times as for potting.' },
      {
        text: 'Pull the tape and lower the pot bit by bit into a bucket of water, so that it fills from below and no air is trapped, until water shines at the line. Leave it so: a day for peat or coir, an hour for bark.',
        wait: 60,
      },
      {
        text: 'Lift it, let it drain, and fill it from below once more: the second filling counts.',
        wait: 60,
      },
      { text: 'Close the holes with tape under water, lift it out, and wipe it dry outside.' },
      { text: 'Hold it over the tray, pull the tape, and let it drain without tilting it.', wait: 60 },
      { text: 'Measure what ran out.' },
      {
        text: 'For the water held: weigh the pot wet. Dry the mix, in an oven at [105 °C|220 °F] or thin in the sun until its weight stays, and weigh that.',
      },
    ],
  },
  bucketWeight: {
    name: 'Weight of a bucket',
    tells: 'How heavy it is as it lies, and dry: what a bag by weight gives, what a pot will weigh.',
    kit: 'A straight bucket with a line at a known volume, a scale, a one litre jug.',
    on: BOTH,
    steps: [
      { text: 'Weigh the empty bucket.' },
      {
        text: 'Fill it loosely to just over the line, drop it a hand high three times, level it at the line, and weigh it.',
      },
      {
        text: 'Fill a litre in the same way, dry it in an oven at [105 °C|220 °F] or thin in the sun for days, and weigh that.',
      },
      { text: 'Do the bucket twice more; each is a repeat.' },
    ],
  },
  bucketsOut: {
    name: 'Buckets in, buckets out',
    tells: 'How much volume is lost on mixing: fine things go into the gaps of coarse ones.',
    kit: 'One marked bucket and a tarpaulin.',
    on: ['mix'],
    steps: [
      { text: 'Damp all parts as for potting.' },
      { text: 'Measure each with the same bucket and the same three knocks, and count the buckets.' },
      { text: 'Turn the heap five times.' },
      { text: 'Measure the mix back with the same bucket and knocks, the last one to a tenth.' },
    ],
  },
  settling: {
    name: 'How far it sinks',
    tells: 'What a mix loses in its first weeks and over the season, and how much tops it up.',
    kit: 'A ruler and a stick laid across the rim.',
    on: ['mix'],
    steps: [
      {
        text: 'Fill, tap, level. Measure from the stick down to the mix at five points; their mean is the first figure.',
      },
      { text: 'Water gently until it drains.', wait: 60 },
      { text: 'Measure again at the same points. Do not press in between.' },
      { text: 'Measure again after a week, and each month: a test of its own each time.' },
    ],
  },
  dropTest: {
    name: 'Does it take water',
    tells: 'Whether it sheds water once it is dry. Each drop is a repeat.',
    kit: 'A dropper, a watch, a saucer of mix dried in the air.',
    on: BOTH,
    steps: [
      { text: 'Level the dry mix in a saucer; do not press it.' },
      { text: 'Put down single drops, apart from each other, from a finger’s width up.' },
      { text: 'Time each until it has gone in. Ten are enough; the middle one counts.' },
    ],
  },
  percolation: {
    name: 'How fast water goes through',
    tells: 'Whether water sinks in within seconds or stays on top.',
    kit: 'An open tube or can a hand wide, a ruler, a watch, a scrap of cloth.',
    on: BOTH,
    steps: [
      { text: 'Wet the pot through and let it drain.', wait: 30 },
      { text: 'Press the tube a finger deep into the mix and lay the cloth in it.' },
      {
        text: 'Pour in [2.5 cm|an inch] of water and time it until the top shines dry. Pour twice more at once.',
      },
      { text: 'The third time counts.' },
    ],
  },
  beanTest: {
    name: 'Beans against weedkiller',
    tells: 'Whether compost, manure or hay holds a weedkiller that twists leaves.',
    kit: 'Twelve small pots with saucers, bean or pea seed, a bagged mix that is known to be clean.',
    on: BOTH,
    caution:
      'Wear gloves with manure and wash your hands. What twists beans goes on no food bed and into no heap.',
    steps: [
      {
        text: 'Take it from many places of the load. Mix two parts of it with one of clean mix, half and half where it is very salty: six pots. Six more of clean mix alone.',
      },
      { text: 'Three seeds in each pot, each pot on its own saucer.' },
      {
        text: 'Keep all of them warm, light and evenly moist. No feed. Look from the third true leaf on, three to four weeks.',
      },
      { text: 'Count pots with cupped, fern-like or twisted new leaves, of each kind.' },
    ],
  },
  cressTest: {
    name: 'Cress for ripeness',
    tells: 'Whether compost is ripe enough for roots.',
    kit: 'Cress seed, six saucers, paper, rain water, a ruler.',
    on: BOTH,
    steps: [
      { text: 'Shake one part of compost with five of rain water, and strain it.', wait: 60 },
      { text: 'Lay paper in six saucers: wet three with the extract and three with plain water.' },
      { text: 'Twenty-five seeds in each. Cover them, at room warmth, in the dark, for three days.' },
      {
        text: 'Count the seeds that are up in the three saucers of each kind, and measure ten roots of each kind.',
      },
    ],
  },
  vinegarFizz: {
    name: 'Vinegar for lime',
    tells:
      'Whether sand, grit, rock or soil holds lime that keeps pH up. Fizz is proof; no fizz is none, for dolomite hardly fizzes.',
    kit: 'White vinegar, a saucer; for a figure a jar and a scale to a tenth of a gram.',
    on: BOTH,
    steps: [
      { text: 'A dry spoonful in a saucer; wet it with water first, so that no air bubbles.' },
      {
        text: 'Pour warm vinegar on it. Listen, and look for a minute. Crush a grain and try that too: dolomite fizzes only as powder, and warm.',
        wait: 1,
      },
      {
        text: 'For a figure: weigh [20 g|0.7 oz] into an open jar with a cup of vinegar, swirl it for half an hour, and weigh what it lost; the same with washed quartz sand.',
        wait: 30,
      },
    ],
  },
  sieve: {
    name: 'Coarse and fine',
    tells: 'How much of it is coarse and how much is dust that fills the gaps.',
    kit: 'Meshes of [12 mm|half an inch] and [6 mm|a quarter inch], a kitchen sieve of about [1 mm|1/25 in], a scale.',
    on: ['material'],
    caution: DUSTY,
    steps: [
      { text: 'Dry it thinly in the air for two days: damp stuff clogs and reads coarse.' },
      { text: 'Take a few litres from all over the heap.' },
      { text: 'Shake it through each mesh, the coarsest first.', wait: 2 },
      { text: 'Weigh what stays on each and what is in the pan.' },
    ],
  },
  jar: {
    name: 'Soil in a jar',
    tells: 'Sand, silt and clay of a soil, and so which soil of the tables it is. Not for peaty stuff.',
    kit: 'A straight jar, water, a spoon of washing soda, a ruler.',
    on: ['material'],
    steps: [
      {
        text: 'Crush the soil and pick out stones and roots. Fill a third of the jar, then water and the soda. Shake it for five minutes.',
        wait: 5,
      },
      { text: 'Leave it overnight, and shake it again for two minutes.' },
      { text: 'Stand it still. After a minute mark the top of what has settled: sand.', wait: 1 },
      { text: 'After two hours mark it again: silt.', wait: 120 },
      { text: 'When the water is clear, in days, mark the top. Measure all three from the bottom.' },
    ],
  },
}

/** What a field is called, by its name. */
export const TEST_FIELD_NAMES: Record<string, string> = {
  pH: 'pH',
  salts: 'Salts, dS/m (mS/cm)',
  temperature: 'Water, if the meter does not correct',
  saltsOfWater: 'Salts of the water alone, dS/m',
  method: 'Method of the report',
  ...ELEMENT_NAMES,
  ...SOIL_NAMES,
  soilMethod: 'Method for phosphorus',
  nitrogen: 'Nitrogen, nitrate and ammonium',
  ammonium: 'Ammonium nitrogen',
  volume: 'Volume to the line',
  depth: 'Depth of the mix',
  drained: 'Water that ran out, mL',
  potWeight: 'Weight of the empty pot',
  wetWeight: 'Weight with its pot, drained',
  dryWeight: 'Weight of the mix, dry',
  emptyWeight: 'Weight of the empty bucket',
  moistWeight: 'Weight of the full bucket',
  dryLitre: 'Weight of a litre, dry',
  bucketsIn: 'Buckets in',
  bucketsOut: 'Buckets out',
  before: 'From the stick to the mix, at first',
  now: 'From the stick to the mix, now',
  seconds: 'Seconds',
  water: 'Water poured in',
  suspectPots: 'Pots with the stuff',
  suspectTwisted: 'Twisted with the stuff',
  cleanPots: 'Clean pots',
  cleanTwisted: 'Twisted in clean pots',
  seeds: 'Seeds sown of each kind',
  upInExtract: 'Up in the extract',
  rootInExtract: 'Mean root in the extract, mm',
  upInWater: 'Up in plain water',
  rootInWater: 'Mean root in plain water, mm',
  grade: 'How it fizzes',
  sample: 'Weight taken',
  loss: 'Weight lost',
  blank: 'Weight lost by quartz sand',
  over12: 'Stays on the coarse mesh',
  over6: 'Stays on the middle mesh',
  over1: 'Stays on the fine sieve',
  pan: 'In the pan',
  sandTop: 'First mark, mm',
  siltTop: 'Second mark, mm',
  top: 'Last mark, mm',
}

/** The methods of laboratory reports. */
export const LAB_METHOD_NAMES: Record<LabMethod, string> = {
  saturatedExtract: 'Saturated extract (SME, paste)',
  pourThrough: 'Pour-through, leachate',
  oneToTwo: '1 to 2 by volume',
  oneToOneHalf: '1 to 1.5 by volume',
  oneToFive: '1 to 5 by volume (EN 13652)',
}

export const FIZZ_NAMES = ['Not at all', 'Faint: heard, not seen', 'Clear', 'Strong foam'] as const

/** How a field of a test is typed. */
export const quantityOfField = ({ unit }: Pick<TestField, 'unit'>): Quantity => {
  switch (unit) {
    case 'L':
      return 'volume'
    case 'kg':
      return 'weight'
    case 'g':
      return 'fineWeight'
    case 'cm':
      return 'length'
    case 'C':
      return 'temperature'
    default:
      return 'number'
  }
}

/** A problem of a test in words. */
export function testProblemText(problem: TestProblem): { why: string; fix: string } {
  const name = (field: string) => TEST_FIELD_NAMES[field] ?? field
  switch (problem.code) {
    case 'field-missing':
      return { why: `${name(problem.field)}: nothing typed yet.`, fix: 'Type what you read.' }
    case 'field-range':
      return {
        why: `${name(problem.field)}: nobody reads that.`,
        fix: 'Check the point, and that it is in the unit beside the field.',
      }
    case 'fields-contradict':
      return {
        why: `${name(problem.field)} is more than ${name(problem.other).toLowerCase()}.`,
        fix: 'Look which of the two is typed wrong.',
      }
    case 'nothing-read':
      return { why: 'Nothing read yet.', fix: 'Type at least one figure.' }
  }
}

/** What a figure of a test is called. */
export const TEST_FIGURE_NAMES: Record<TestFigure, string> = {
  pH: 'pH',
  electricalConductivity: 'Salts',
  airFilledPorosity: 'Air',
  containerCapacity: 'Water held',
  totalPorosity: 'All pores',
  moistDensity: 'Weight as it lies',
  dryDensity: 'Weight, dry',
  moisture: 'Moisture by weight',
  blendingLoss: 'Lost on mixing',
  sunk: 'Sunk',
  sunkShare: 'Of its depth',
  seconds: 'Middle time',
  cmPerHour: 'Water sinks in',
  twisted: 'Twisted',
  missable: 'May still be missed',
  germinationIndex: 'Germination index',
  carbonate: 'Lime in it',
  coarse: 'Over the coarse mesh',
  middle: 'Middle',
  small: 'Small',
  fines: 'Fines',
  sand: 'Sand',
  silt: 'Silt',
  clay: 'Clay',
  ...ELEMENT_NAMES,
  ammonium: 'Ammonium nitrogen',
  ...SOIL_NAMES,
}
