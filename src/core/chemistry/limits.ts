import { defineLimits } from '../limits'

/** What decides in the course of pH and in the doses that steer it. */
export const CHEMISTRY_LIMITS = defineLimits({
  fullRatePH: {
    value: 5.4,
    low: 5,
    high: 5.8,
    unit: 'pH',
    source: 'our assumption: carbonate dissolves at its full rate below it; set with the rates of lime',
  },
  waterFrom: {
    value: 7.2,
    low: 7,
    high: 7.5,
    unit: 'pH',
    source: 'our assumption: from here bicarbonate begins to be laid down as lime again',
  },
  waterTo: {
    value: 8.2,
    low: 8,
    high: 8.4,
    unit: 'pH',
    source: 'our assumption: water raises pH no further',
  },
  leastLimeTarget: { value: 3.5, low: 3, high: 4, unit: 'pH', source: 'the tested range of the method' },
  mostLimeTarget: { value: 8, low: 7.5, high: 8.2, unit: 'pH', source: 'the tested range of the method' },
  leastAcidTarget: { value: 3, low: 3, high: 3.5, unit: 'pH', source: 'the tested range of the method' },
  mostAcidTarget: { value: 7.5, low: 7, high: 8, unit: 'pH', source: 'the tested range of the method' },
  acid: { value: 10, low: 5, high: 15, unit: 'g/L', source: 'our assumption: no acidifier is given so much' },
  limeJudged: {
    value: 42,
    low: 28,
    high: 56,
    unit: 'days',
    source: 'common practice: six weeks after mixing',
  },
  sulfurJudged: {
    value: 84,
    low: 56,
    high: 120,
    unit: 'days',
    source: 'common practice: twelve weeks, for microbes eat it first',
  },
})
