import { test as words } from '@/text/composables/learn'
import { useTables } from '../garden/useTables'
import { computed, toRaw, type ComputedRef } from 'vue'
import { averaged, type Repeat } from '@/core/fieldTests'
import { dressingIn } from '@/core/data/dressings'
import { LAB_METHODS, readReport, type LabFigures } from '@/core/laboratory'
import { jobOf, testOf } from '@/model/garden/garden'
import { asDosed } from '@/model/amounts/asDosed'
import { mixNeededFor } from '@/model/garden/mixNeededFor'
import type { Job, Test } from '@/model/garden/schemas'
import { correctionFor, litresInBeds } from '@/model/season/correction'
import { labDoses, labGroup } from '@/model/season/labDoses'
import { dayOfTest, expectedOfTest } from '@/model/learn/expected'
import { prepareJob } from '@/model/mix/evaluateJob'
import { questionOfJob } from '@/model/mix/questionOfJob'
import { placeOf } from '@/model/garden/garden'
import { testProblemText } from '@/text/tests/fieldTests'
import type { LabAsked } from '@/text/tests/laboratory'
import { testFollows, testRows } from '@/text/tests/testFollows'
import { volumeText } from '@/text/base/units'
import type { GardenDoor } from '../garden/gardenDoor'

/** A field test in hand: what was read, what comes of it, and every change kept at once. */
export function useTest(garden: GardenDoor, testId: () => string) {
  const test = computed(() => testOf(garden.records, testId()))
  const units = computed(() => garden.settings.units)
  function change(of: Partial<Test>, what: string) {
    if (test.value) garden.run({ type: 'test/set', test: { ...toRaw(test.value), ...of }, what })
  }
  const job = computed(() => {
    const stored = test.value?.jobId ? jobOf(garden.records, test.value.jobId) : undefined
    return stored && asDosed(garden.records, stored)
  })
  const worked = computed(() => test.value && averaged(test.value.test, test.value.repeats))
  const problem = computed(() => (worked.value?.ok === false ? worked.value.problem : null))
  const expected = computed(() => {
    const t = test.value
    if (!t || !worked.value?.ok) return {}
    return t.finishedAt ? t.expected : expectedOfTest(garden.records, t, new Date().toISOString())
  })
  const asked = useAsked(garden, { test, job, worked })
  return {
    test,
    units,
    job,
    change,
    problem,
    isSound: computed(() => problem.value === null),
    /** What keeps it from being worked out and is beside no field. */
    aside: computed(() =>
      problem.value && (problem.value.code === 'field-missing' || problem.value.code === 'nothing-read')
        ? testProblemText(problem.value)
        : null,
    ),
    rows: computed(() => (worked.value?.ok ? testRows(worked.value.value, expected.value, units.value) : [])),
    follows: computed(() => {
      if (!worked.value?.ok) return []
      const expectedLoss = expected.value.blendingLoss ?? null
      const nitrogenExpected = expected.value.nitrogen ?? null
      const given = { ...asked.value, units: units.value, expectedLoss, nitrogenExpected }
      return testFollows(test.value!.test, worked.value.value, test.value!.repeats, given)
    }),
    finish() {
      const at = new Date().toISOString()
      const then = { finishedAt: at, expected: expectedOfTest(garden.records, test.value!, at) }
      change(then, words.finishingATest)
    },
  }
}

interface InHand {
  test: ComputedRef<Test | undefined>
  job: ComputedRef<Job | undefined>
  worked: ComputedRef<ReturnType<typeof averaged> | undefined>
}

/** What the job asks of what was read: its bands, a top-up where the mix has sunk, a correction of the pH. */
function useAsked(garden: GardenDoor, { test, job, worked }: InHand) {
  const tables = useTables(garden)
  const read = (figure: 'sunk' | 'pH') => (worked.value?.ok ? worked.value.value[figure]?.mean : undefined)
  const bands = () => {
    const prepared = job.value ? prepareJob(job.value, placeOf(garden.records), tables.value) : null
    return prepared?.ok ? prepared.value.bands : null
  }
  function topUp(): string {
    const sunk = read('sunk')
    if (!job.value || sunk === undefined || sunk <= 0) return ''
    const litres = job.value.fills.reduce((sum, f) => {
      const needed = mixNeededFor({ spec: f.spec, sunkBy: sunk }, tables.value)
      return sum + (needed.ok ? needed.value.net * f.count : 0)
    }, 0)
    return litres > 0 ? words.ofTheSameMixFill(volumeText(litres, garden.settings.units)) : ''
  }
  function correction() {
    const t = test.value
    const pH = read('pH')
    if (!t?.jobId || pH === undefined) return null
    const day = dayOfTest(garden.records, t, t.finishedAt ?? new Date().toISOString())
    const found = correctionFor(garden.records, t.jobId, { value: pH, day })
    return found?.ok ? found.value : null
  }
  /** What a report is read by, and what it asks for over all beds. */
  function lab({ method = 0, ...read }: Repeat): LabAsked | null {
    if (!job.value) return null
    const question = toRaw(questionOfJob(job.value, placeOf(garden.records), tables.value))
    const group = labGroup(job.value, question, bands()?.pH.high ?? Infinity)
    const readings = readReport(read as LabFigures, { method: LAB_METHODS[Math.round(method)]!, group })
    const litres = litresInBeds(garden.records, job.value)
    const doses = labDoses(question, readings).map((dose) => ({
      ...dose,
      grams: dose.gramsPerLitre * litres,
      bulkDensity: dressingIn(tables.value, dose.dressingId)!.bulkDensity.value,
    }))
    return { group, doses, litres }
  }
  return computed(() => ({
    bands: bands(),
    topUp: topUp(),
    correction: correction(),
    lab: test.value?.test === 'laboratory' ? lab(test.value.repeats.at(-1) ?? {}) : null,
    onMix: test.value?.materialId === null,
  }))
}
