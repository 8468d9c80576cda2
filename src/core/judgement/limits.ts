import { defineLimits } from '../limits'

/** What makes a figure stand out, by the rule it belongs to. */
export const JUDGEMENT_LIMITS = defineLimits({
  shareSlack: {
    value: 0.005,
    low: 0.002,
    high: 0.01,
    unit: 'fraction',
    source: 'our assumption: half a point of air or water is nothing a grower could measure',
  },
  pHSlack: { value: 0.05, low: 0.02, high: 0.1, unit: 'pH', source: 'our assumption: meters show a tenth' },
  graveSalts: {
    value: 0.25,
    low: 0.2,
    high: 0.5,
    unit: 'share of the yield lost',
    source: 'our assumption: a tenth lost is a warning, a quarter an alarm',
  },
  saltsSlack: {
    value: 0.05,
    low: 0.02,
    high: 0.1,
    unit: 'dS/m',
    source: 'our assumption: meters show a tenth',
  },
  daysSlack: {
    value: 0.25,
    low: 0.1,
    high: 0.3,
    unit: 'days',
    source: 'our assumption: who waters every day keeps a pot that dries in eighteen hours',
  },
  fed: {
    value: 0.95,
    low: 0.9,
    high: 0.98,
    unit: 'share of what a season needs',
    source: 'our assumption: a twentieth short is nothing a plant shows',
  },
  graveAir: {
    value: 0.5,
    low: 0.4,
    high: 0.6,
    unit: 'share of the air wanted at least',
    source: 'our assumption: less than half of it is an alarm',
  },
  drownedAir: {
    value: 0.04,
    low: 0.03,
    high: 0.07,
    unit: 'fraction of air',
    source: 'common practice; Handreck & Black name 7 % as the least (from memory)',
  },
  drownedDepth: {
    value: 1 / 3,
    low: 0.25,
    high: 0.5,
    unit: 'share of the depth',
    source: 'our assumption: every mix has a wet foot',
  },
  wetPlaceAir: {
    value: 1 / 3,
    low: 0.25,
    high: 0.5,
    unit: 'share of the air band',
    source: 'common practice: a faster mix where rain falls',
  },
  wetSeasonAir: {
    value: 2 / 3,
    low: 0.5,
    high: 0.8,
    unit: 'share of the air band',
    source: 'common practice: an open mix where rain falls faster than plants drink all season',
  },
  sandShare: {
    value: 0.06,
    low: 0.03,
    high: 0.1,
    unit: 'fraction',
    source: 'our assumption: less changes nothing',
  },
  sandGain: {
    value: 0.01,
    low: 0.005,
    high: 0.02,
    unit: 'fraction of air',
    source: 'our assumption: a point of air',
  },
  limeAsked: {
    value: 1,
    low: 0.5,
    high: 2,
    unit: 'g/L',
    source: 'our assumption: less is no overdose to speak of',
  },
  limePlateau: {
    value: 7,
    low: 6.8,
    high: 7.2,
    unit: 'pH',
    source: 'the method: lime slows towards its ceiling',
  },
  limeHardly: {
    value: 0.3,
    low: 0.2,
    high: 0.4,
    unit: 'pH',
    source: 'our assumption: half the lime did as well',
  },
  pHCreep: {
    value: 0.4,
    low: 0.3,
    high: 0.5,
    unit: 'pH in a season',
    source: 'our assumption: worth a word',
  },
  acidCrop: { value: 5.6, low: 5.2, high: 5.8, unit: 'pH', source: 'common practice: plants of acid ground' },
  hardWater: {
    value: 2,
    low: 1.5,
    high: 3,
    unit: 'meq/L',
    source: 'common practice: undoes acid ground in the end',
  },
  seedlingSalts: {
    value: 1.3,
    low: 0.8,
    high: 1.5,
    unit: 'dS/m',
    source: 'Styer & Koranski; Cavins et al. 2000 (from memory): emergence wants less than 0.9 to 1.3',
  },
  seedlingManure: {
    value: 0.01,
    low: 0,
    high: 0.05,
    unit: 'fraction',
    source: 'common practice: none for seedlings',
  },
  compost: { value: 0.4, low: 0.33, high: 0.5, unit: 'fraction', source: 'common practice: a third at most' },
  goneHalf: {
    value: 0.5,
    low: 0.4,
    high: 0.6,
    unit: 'share of a part gone in three years',
    source: 'our assumption: named as going',
  },
  rootNitrogen: {
    value: 150,
    low: 100,
    high: 200,
    unit: 'mg/L available in the first days',
    source: 'common practice: rich ground makes leaf and forked roots',
  },
  coirShare: {
    value: 0.3,
    low: 0.2,
    high: 0.5,
    unit: 'fraction',
    source: 'our assumption: a mix led by coir',
  },
  coirCalcium: { value: 300, low: 200, high: 400, unit: 'mg/L', source: 'common practice: buffered coir' },
  slump: {
    value: 0.2,
    low: 0.15,
    high: 0.3,
    unit: 'fraction in three years',
    source: 'our assumption: a fifth gone',
  },
  slumpAir: {
    value: 0.02,
    low: 0.01,
    high: 0.03,
    unit: 'fraction of air',
    source: 'our assumption: two points below',
  },
})

const NOTICED = 'our assumption: what a grower would notice; as in the finder'

/** Steps that distances outside a band are counted in. */
export const STEPS = defineLimits({
  air: { value: 0.02, low: 0.01, high: 0.03, unit: 'fraction', source: NOTICED },
  water: { value: 0.02, low: 0.01, high: 0.03, unit: 'fraction', source: NOTICED },
  pH: { value: 0.2, low: 0.1, high: 0.3, unit: 'pH', source: NOTICED },
  salts: { value: 0.5, low: 0.3, high: 0.7, unit: 'dS/m', source: NOTICED },
  days: { value: 0.25, low: 0.2, high: 0.5, unit: 'share of the days wanted', source: NOTICED },
  weight: { value: 0.1, low: 0.05, high: 0.2, unit: 'share of the most to lift', source: NOTICED },
  feed: { value: 0.1, low: 0.05, high: 0.2, unit: 'share of what a season needs', source: NOTICED },
  lasting: { value: 0.05, low: 0.03, high: 0.1, unit: 'fraction lost in three years', source: NOTICED },
})

/** Mean winds met several times a year, m/s; gusts go half as far again. Source: common practice. */
export const WIND_MET = { sheltered: 8, open: 14, exposed: 20 } as const
export type WindExposure = keyof typeof WIND_MET
