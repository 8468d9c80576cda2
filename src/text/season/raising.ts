import type { RaisingStage, RaisingStep, TrayId } from '@/core/raising'
import type { Job } from '@/model/garden/schemas'
import type { DatedRaising } from '@/model/season/raising'
import { counted } from '../base/counted'
import { dayText, shortDayText } from '../base/dates'
import { volumeText, type UnitSystem } from '../base/units'

/** What plants are raised in. */
export const TRAY_NAMES: Record<TrayId, string> = {
  seedTray: 'open seed tray',
  plugs288: 'plug tray, 288 cells of 5 mL',
  plugs128: 'plug tray, 128 cells of 18 mL',
  plugs72: 'plug tray, 72 cells of 40 mL',
  modules24: 'module tray, 24 cells of 120 mL',
  blocks4: 'soil blocks, 4 cm',
  rootTrainers: 'root trainers, 12 cm deep',
  pots9cm: '9 cm pots',
  pots13cm: '1 L pots',
}
/** One and many of what a stage counts. */
const COUNTED: Record<TrayId, [one: string, many: string]> = {
  seedTray: ['tray', 'trays'],
  plugs288: ['cell', 'cells'],
  plugs128: ['cell', 'cells'],
  plugs72: ['cell', 'cells'],
  modules24: ['cell', 'cells'],
  blocks4: ['block', 'blocks'],
  rootTrainers: ['cell', 'cells'],
  pots9cm: ['pot', 'pots'],
  pots13cm: ['pot', 'pots'],
}
export const RAISING_STEP_NAMES: Record<RaisingStep, string> = {
  sow: 'Sow',
  emerge: 'Comes up',
  prickOut: 'Prick out',
  potOn: 'Pot on',
  hardenOff: 'Harden off',
  plantOut: 'Plant out',
}
const STEP_DOES: Record<RaisingStep, string> = {
  sow: 'Keep it moist and at its warmth.',
  emerge: 'Into the light the same day.',
  prickOut: 'At the first true leaf, held by a seed leaf, never by the stem.',
  potOn: 'Before the roots turn round in the cell.',
  hardenOff: 'Out by day in shade, in at night; no feed, less water.',
  plantOut: 'Water it well first.',
}
export const stepText = (step: RaisingStep): string => STEP_DOES[step]

/** "23 cells in 1 tray, 1.0 L of mix; 4.4 L for a hundred". */
export function stageText(
  { tray, cells, trays, litres, litresForHundred }: RaisingStage,
  units: UnitSystem,
): string {
  const [one, many] = COUNTED[tray.id]
  const what =
    tray.cells === 1 ? counted(trays, one, many) : `${counted(cells, one, many)} in ${counted(trays, 'tray')}`
  const hundred = tray.cells === 1 ? '' : `; ${volumeText(litresForHundred, units)} for a hundred`
  return `${what}, ${volumeText(litres, units)} of mix${hundred}`
}

/** "For 20 plants on 29 May 2027: sow 28 seeds between 4 and 9 Apr." */
export const raisingText = ({ plan, plants, days, sowFrom, sowTo }: DatedRaising): string =>
  `For ${counted(plants, 'plant')} on ${dayText(days.at(-1)!.on)}: sow ${counted(plan.seeds, 'seed')} between ${shortDayText(sowFrom)} and ${shortDayText(sowTo)}.`

/** Where the days to sow are past: "Those days are past: sown today, they can go out on 14 Feb 2027."; empty before. */
export const pastText = ({ earliest }: DatedRaising): string =>
  earliest === null ? '' : `Those days are past. Sown today, the plants can go out on ${dayText(earliest)}.`

/** What a stage is called as a job: "Leek: sowing". */
export const stageName = (job: Job, crop: string, stage: number): string =>
  `${job.name || crop}: ${stage === 0 ? 'sowing' : 'potting on'}`
