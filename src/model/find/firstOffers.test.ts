import { existsSync, readFileSync, writeFileSync } from 'node:fs'
import { describe, expect, test } from 'vitest'
import type { Topic } from '@/core/appraisal'
import { cropById, materialIn, PUBLISHED } from '@/core/data'
import { isLong } from '@/core/testing/draws'
import { toEnd } from '@/core/toEnd'
import { cropInText } from '@/text/base/cropInText'
import { foundText, saidText } from '@/text/mix/finder'
import { dosesText } from '@/text/mix/offers'
import { verdictText } from '@/text/mix/topics'
import { isAloft } from '../garden/vessel'
import { judgedBed } from '../garden/garden'
import { AT_REST, evaluatePrepared, prepare } from '../mix/prepare'
import { questionOfJob } from '../mix/questionOfJob'
import { verdictFrom, verdictOf } from '../mix/verdict'
import { findMixes } from './findMixes'
import { beginWith, firstRequest } from './firstOffers'
import { firstCases } from './testing/firstCases'
import { threeMixes, type MixOffer } from './threeMixes'

/**
 * Ten crops in six containers in three places, each with an empty bench: 180. Some of them here, all of them in the
 * long run. FIRST_OFFERS=write writes the table of the docs.
 */
const TABLE = 'docs/method/first-offers.md'
const isWriting = process.env.FIRST_OFFERS === 'write'
/** Every so manyth; no divisor of 18, so that every container and place comes. */
const EVERY = isLong || isWriting ? 1 : 37
type Case = ReturnType<typeof firstCases>[number]

function offersFor({ job, at }: Case): MixOffer[] {
  const request = firstRequest(new Map(), job, at)
  if (!request.ok) throw new Error(request.problem.code)
  const found = toEnd(findMixes(request.value))
  if (!found.ok) throw new Error(found.problem.code)
  return threeMixes(found.value.found, PUBLISHED, isAloft(judgedBed(job).spec))
}
const rowOf = ({ crop, container, place }: Case, first: MixOffer): string => {
  const { candidate, look } = first.found
  const cells = [
    cropById(crop)!.name,
    container,
    place,
    foundText(candidate),
    dosesText(first, 'metric'),
    saidText(look!, null),
  ]
  return `| ${cells.join(' | ')} |`
}
/** What a mix cannot mend: the container, the place or the water does. */
const NOT_THE_MIX: ReadonlySet<Topic> = new Set(['pot-too-small', 'crop-depth', 'weight-load'])

/** Water that makes salts of its own where summers are dry, dS/m. */
const SALTY = 0.7

const CASES = firstCases()
  .filter((_, i) => i % EVERY === 0)
  .map((asked) => ({ asked, offers: offersFor(asked) }))
const shareOf = ({ found }: MixOffer, ...families: string[]): number => {
  const { parts } = found.candidate
  const all = parts.reduce((sum, p) => sum + p.parts, 0)
  const of = (id: string) => families.includes(materialIn(PUBLISHED, id)!.family)
  return parts.reduce((sum, p) => sum + (of(p.id) ? p.parts / all : 0), 0)
}
const named = ({ crop, container, place }: Case) => `${crop}, ${container}, ${place}`

describe('the first offers on an empty bench', () => {
  test('each case has one at least, and none is grave for a reason a mix could mend', () => {
    for (const { asked, offers } of CASES) {
      expect(offers.length, named(asked)).toBeGreaterThan(0)
      const grave = offers[0]!.found.look!.findings.filter((f) => f.severity === 'grave').map((f) => f.topic)
      const isSalty = asked.at.waterEc >= SALTY
      const mends = (topic: Topic) => !NOT_THE_MIX.has(topic) && !(isSalty && topic === 'salts-high')
      expect(grave.filter(mends), named(asked)).toEqual([])
    }
  })
  test('what is offered is what is there once it is taken: the same verdict by the same appraisal', () => {
    for (const { asked, offers } of CASES)
      for (const { found } of offers) {
        const job = { ...asked.job, ...beginWith(new Map(), asked.job, asked.at, found) }
        const prepared = prepare(questionOfJob(job, asked.at, PUBLISHED))
        const evaluation = prepared.ok ? evaluatePrepared(prepared.value, AT_REST) : prepared
        if (!prepared.ok || !evaluation.ok) throw new Error(named(asked))
        const { findings, verdicts } = found.look!
        expect(verdictOf(prepared.value, evaluation.value), named(asked)).toEqual(
          verdictFrom(findings, verdicts),
        )
      }
  })
  test('a bed open to the soil is soil and compost; a balcony bears no soil; an acid lover gets no compost and no lime', () => {
    for (const { asked, offers } of CASES)
      for (const offer of offers) {
        const isAcid = asked.crop === 'blueberry'
        if (asked.container === 'bed on soil' && !isAcid) {
          expect(shareOf(offer, 'soil'), named(asked)).toBeGreaterThanOrEqual(0.45)
          expect(shareOf(offer, 'compost', 'manure'), named(asked)).toBeGreaterThan(0)
        }
        if (asked.container.includes('balcony')) expect(shareOf(offer, 'soil'), named(asked)).toBe(0)
        if (isAcid) {
          expect(shareOf(offer, 'compost', 'manure'), named(asked)).toBe(0)
          expect(offer.found.look!.limeGramsPerLitre, named(asked)).toBe(0)
        }
      }
  })
  test('the table of the docs is what is offered', () => {
    const rows = CASES.map(({ asked, offers }) => rowOf(asked, offers[0]!))
    if (isWriting) {
      const head = '| crop | container | place | first offer | with it | verdict |'
      writeFileSync(
        TABLE,
        `# First offers\n\nThe first mix offered on an empty bench for ten crops in six containers in three places, with every material to\nchoose from. Made by \`FIRST_OFFERS=write npx vitest run src/model/find/firstOffers.test.ts\`; do not edit. How a\npurpose is put together: [finder](finder.md).\n\n${head}\n| --- | --- | --- | --- | --- | --- |\n${rows.join('\n')}\n`,
      )
    }
    expect(existsSync(TABLE)).toBe(true)
    const table = readFileSync(TABLE, 'utf8')
    for (const row of rows) expect(table).toContain(row)
  })
  test('a verdict names the crop it is good for', () => {
    const good = CASES.flatMap(({ asked, offers }) =>
      offers.flatMap(({ found: { look } }) => {
        const name = cropById(asked.crop)!.name
        const text = verdictText(verdictFrom(look!.findings, look!.verdicts), name)
        return text.startsWith('Good') ? [text.includes(cropInText(name))] : []
      }),
    )
    expect(good.length).toBeGreaterThan(0)
    expect(good).not.toContain(false)
  })
})
