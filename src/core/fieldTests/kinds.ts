import { LAB_FIGURES, LAB_METHODS, type LabFigure } from '../laboratory/methods'
import { SOIL_ELEMENTS, SOIL_FIELD, SOIL_METHODS } from '../laboratory/soilFields'
import { METAL_FIELD, METALS } from '../safety/metalFields'

/** What a field of a test is given in; core units. */
export type FieldUnit =
  | 'pH'
  | 'dS/m'
  | 'C'
  | 'L'
  | 'mL'
  | 'kg'
  | 'g'
  | 'cm'
  | 'mm'
  | 's'
  | 'count'
  | 'grade'
  | 'mg/L'
  | 'mg/kg'
  /** A place in `LAB_METHODS`. */
  | 'method'
  /** A place in `SOIL_METHODS`. */
  | 'soilMethod'

export interface TestField {
  name: string
  unit: FieldUnit
  /** Beyond these nobody reads it; both included. */
  low: number
  high: number
  /** The test says something without it. */
  optional?: boolean
  /** What it is most often. */
  usual?: number
}

const field = (
  name: string,
  unit: FieldUnit,
  [low, high]: readonly [number, number],
  more: Partial<TestField> = {},
): TestField => ({ name, unit, low, high, ...more })
const optional = { optional: true }
const EXTRACT = [
  field('pH', 'pH', [2.5, 10], optional),
  field('salts', 'dS/m', [0, 30], optional),
  field('temperature', 'C', [0, 45], { optional: true, usual: 25 }),
]

/** What a laboratory prints of each element of an extract, mg/L. */
const printed = (name: LabFigure) => field(name, 'mg/L', [0, 20_000], optional)
const LAB_ELEMENTS = LAB_FIGURES.filter((f) => f !== 'pH' && f !== 'salts')

/**
 * What is read in each test, in the order in which the page offers them.
 * Source: the tests themselves, common practice; the ends are our assumption.
 */
const FIELDS = {
  slurry: [...EXTRACT, field('saltsOfWater', 'dS/m', [0, 5], optional)],
  paste: EXTRACT,
  pourThrough: EXTRACT,
  laboratory: [
    field('method', 'method', [0, LAB_METHODS.length - 1], { optional: true, usual: 0 }),
    field('pH', 'pH', [2.5, 10], optional),
    field('salts', 'dS/m', [0, 30], optional),
    ...LAB_ELEMENTS.map(printed),
  ],
  soilReport: [
    field('soilMethod', 'soilMethod', [0, SOIL_METHODS.length - 1], { optional: true, usual: 0 }),
    field('pH', 'pH', [2.5, 10], optional),
    ...SOIL_ELEMENTS.map((e) => field(SOIL_FIELD[e], 'mg/kg', [0, 200_000], optional)),
  ],
  metals: METALS.map((metal) => field(METAL_FIELD[metal], 'mg/kg', [0, 200_000], optional)),
  drainedAir: [
    field('volume', 'L', [0.05, 200]),
    field('depth', 'cm', [2, 100]),
    field('drained', 'mL', [0, 100_000]),
    field('potWeight', 'kg', [0, 50], optional),
    field('wetWeight', 'kg', [0, 500], optional),
    field('dryWeight', 'kg', [0, 500], optional),
  ],
  bucketWeight: [
    field('volume', 'L', [0.2, 200]),
    field('emptyWeight', 'kg', [0, 50]),
    field('moistWeight', 'kg', [0, 500]),
    field('dryLitre', 'g', [1, 2500], optional),
  ],
  bucketsOut: [field('bucketsIn', 'count', [0.5, 1000]), field('bucketsOut', 'count', [0.1, 1000])],
  settling: [
    field('before', 'cm', [0, 100]),
    field('now', 'cm', [0, 100]),
    field('depth', 'cm', [2, 200], { optional: true }),
  ],
  dropTest: [field('seconds', 's', [0, 7200])],
  percolation: [field('water', 'cm', [0.2, 20], { usual: 2.5 }), field('seconds', 's', [0.5, 86_400])],
  beanTest: [
    field('suspectPots', 'count', [1, 60], { usual: 6 }),
    field('suspectTwisted', 'count', [0, 60]),
    field('cleanPots', 'count', [1, 60], { usual: 6 }),
    field('cleanTwisted', 'count', [0, 60]),
  ],
  cressTest: [
    field('seeds', 'count', [5, 400], { usual: 75 }),
    field('upInExtract', 'count', [0, 400]),
    field('rootInExtract', 'mm', [0, 200]),
    field('upInWater', 'count', [0, 400]),
    field('rootInWater', 'mm', [0.1, 200]),
  ],
  vinegarFizz: [
    field('grade', 'grade', [0, 3]),
    field('sample', 'g', [1, 200], optional),
    field('loss', 'g', [0, 50], optional),
    field('blank', 'g', [0, 50], optional),
  ],
  sieve: [
    field('over12', 'g', [0, 20_000]),
    field('over6', 'g', [0, 20_000]),
    field('over1', 'g', [0, 20_000]),
    field('pan', 'g', [0, 20_000]),
  ],
  jar: [field('sandTop', 'mm', [0.5, 500]), field('siltTop', 'mm', [0.5, 500]), field('top', 'mm', [1, 500])],
} as const satisfies Record<string, readonly TestField[]>

/** Field tests a grower can do. */
export type FieldTest = keyof typeof FIELDS
export const FIELD_TESTS = Object.keys(FIELDS) as [FieldTest, ...FieldTest[]]
export const TEST_FIELDS: Readonly<Record<FieldTest, readonly TestField[]>> = FIELDS

/** What came out of a test, in core units. */
export const TEST_FIGURES = [
  'pH',
  'electricalConductivity',
  'airFilledPorosity',
  'containerCapacity',
  'totalPorosity',
  'moistDensity',
  'dryDensity',
  'moisture',
  'blendingLoss',
  'sunk',
  'sunkShare',
  'seconds',
  'cmPerHour',
  'twisted',
  'missable',
  'germinationIndex',
  'carbonate',
  'coarse',
  'middle',
  'small',
  'fines',
  'sand',
  'silt',
  'clay',
  ...LAB_ELEMENTS,
  ...METALS.map((metal) => METAL_FIELD[metal]),
  ...SOIL_ELEMENTS.map((e) => SOIL_FIELD[e]),
] as const
export type TestFigure = (typeof TEST_FIGURES)[number]

/** One repeat of a test as it was read; what was not read is left out. */
export type Repeat = Readonly<Record<string, number>>
