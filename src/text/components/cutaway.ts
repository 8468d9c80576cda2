import type { Shown } from '../base/shown'

export const cutawayKey = {
  asATable: 'As a table',
  air24HoursAfterWatering: 'air, 24 hours after watering',
  airWhenDrainingHasEnded: 'air, when draining has ended',
  heightAboveBase: 'Height above base',
}

export const cutawayPicture = {
  inSectionOfMix: (title: Shown, deep: Shown, beside: Shown, air: Shown) =>
    `${title}, in section, ${deep} of mix.${beside}${air}`,
  besideIt: (inIt: Shown) => ` Beside it: ${inIt}.`,
  airAfterDraining: (air: Shown) => ` Air after draining: ${air}.`,
}

export const sectionLines = {
  openToTheReservoir: 'water',
  drawnInPartGoesOn: 'drawn in part: goes on to the right',
  openToTheSoil: 'open to the soil',
}

export const strip = {
  nearTheTop: 'at the top',
  theWetFoot: 'wet bottom',
  wetOnTheLayers: 'on layers',
  atTheFoot: 'at the foot',
}
