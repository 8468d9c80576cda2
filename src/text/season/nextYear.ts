import type { OldMix, ReuseVerdict } from '@/model/season/nextYear'
import { doseText, lengthText, percentText, pHText, volumeText, type UnitSystem } from '../base/units'

export const REUSE_QUESTIONS = [
  { id: 'diseased', text: 'Plants in it wilted, rotted at the root, had clubroot or nematodes' },
  { id: 'weedkiller', text: 'New leaves were cupped or fern-like, as by a weedkiller' },
  { id: 'tainted', text: 'Paint, treated wood, its ash, or soil that may hold lead came into it' },
] as const

/** What follows for using a mix again. */
export const REUSE_TEXTS: Record<ReuseVerdict, string> = {
  never:
    'Do not use it again for anything to eat, and put none of it on the compost. For lead or a weedkiller ask your extension service or a laboratory how to get rid of it.',
  otherFamily:
    'Use it only for plants of another family, for at least three years. Tomatoes, peppers and potatoes count as one family, and so do all the cabbages. Not for seedlings. In doubt ask a plant clinic.',
  yes: 'You can use it again. Pick out roots and grubs, break it up, and let it dry a little first.',
}

const known = (isRead: boolean) => (isRead ? 'as read' : 'predicted')

/** An old mix as it is now: what it was, what it is, and how that is known. */
export const oldMixRows = (o: OldMix, units: UnitSystem): string[][] => [
  ['Left of it', volumeText(o.litres, units), ''],
  ['Sunk', lengthText(o.sunk.value, units), known(o.sunk.isRead)],
  ['Air', percentText(o.airNow), `${percentText(o.airWas)} when fresh`],
  ['pH', pHText(o.pH.value), known(o.pH.isRead)],
  ['Salts', `${o.salts.value.toFixed(1)} dS/m`, known(o.salts.isRead)],
  ['Nitrogen still to come', `${o.nitrogen.toFixed(0)} mg in a litre`, 'next season'],
  ['Lime not yet dissolved', doseText(o.limeLeft, units), 'as pure limestone'],
]
