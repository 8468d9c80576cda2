import { expect, test } from 'vitest'
import { containerOf } from '@/model/garden/garden'
import { startingSpec } from '@/model/garden/starting'
import { layoutSection } from '@/painting/section'
import { widthText } from './bedSection'

const FRAME = { width: 420, height: 340, left: 50, right: 60, top: 20, bottom: 20 }
const said = (kind: Parameters<typeof startingSpec>[0]) => {
  const spec = startingSpec(kind)
  return widthText(spec, layoutSection(containerOf(spec.vessel), FRAME), 'metric')
}

test('T17: a gutter is drawn whole from its end, and its length is said; a long trough is drawn in part', () => {
  // 100 cm of gutter, 24 cm across: what is drawn is 24 cm wide.
  expect(said('gutter')).toBe('24 cm across, 100 cm long')
  expect(said('box')).toBe('80 cm long, drawn in part')
  // A heaped bed is as long as its boards, not as its peak.
  expect(said('heapedBed')).toBe('200 cm long, drawn in part')
  expect(said('fabricBag')).toMatch(/^\d+(\.\d)? cm inside$/)
})
