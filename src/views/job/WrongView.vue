<script setup lang="ts">
/** From what is seen to what is likely behind it in this very mix, what tells causes apart, and what to do. */
import { common } from '@/text/base/common'
import { wrongView as words } from '@/text/views/wrongView'
import { computed, nextTick, ref, useTemplateRef, watch } from 'vue'
import ChoiceField from '@/components/field/ChoiceField.vue'
import StationFrame from '@/components/frame/StationFrame.vue'
import CauseList from '@/components/season/CauseList.vue'
import { useJob } from '@/composables/job/useJob'
import { useStations } from '@/composables/job/useStations'
import { rankCauses, SYMPTOM_PLACES, SYMPTOMS, type SymptomPlace } from '@/core/symptoms'
import { entriesOf, inBed, recordOf, testsOf } from '@/model/garden/garden'
import { evaluatePrepared } from '@/model/mix/prepare'
import { prepareJob } from '@/model/mix/evaluateJob'
import { bedFacts } from '@/model/season/bedFacts'
import { bedTitle } from '@/text/base/titles'
import { evidenceText } from '@/text/season/evidence'
import { CAUSE_TEXTS, PLACE_NAMES, SYMPTOM_TEXTS } from '@/text/season/symptoms'
import { inUnits } from '@/text/base/units'

const { jobId } = defineProps<{ jobId: string }>()
const { garden, job, tables, units, place } = useJob(() => jobId)
const { to } = useStations(() => jobId)
const bed = ref<string | null>(null)
const where = ref<SymptomPlace | null>(null)
const seen = ref<string | null>(null)
const beds = computed(() => (job.value?.fills ?? []).map((f) => ({ value: f.id, label: bedTitle(f.spec) })))
const offered = computed(() => SYMPTOMS.filter((s) => where.value === null || s.places.includes(where.value)))
const symptom = computed(() => offered.value.find((s) => s.id === seen.value) ?? null)
const fill = computed(() => job.value?.fills.find((f) => f.id === bed.value) ?? job.value?.fills[0])
/** What is known of the bed now; null where its mix cannot be worked out. */
const facts = computed(() => {
  if (!job.value || !fill.value) return null
  const prepared = prepareJob(inBed(job.value, fill.value), place.value, tables.value)
  const answer = prepared.ok ? evaluatePrepared(prepared.value) : prepared
  if (!prepared.ok || !answer.ok) return null
  const fillId = fill.value.id
  return bedFacts(
    {
      job: job.value,
      record: job.value.recordId ? recordOf(garden.records, job.value.recordId) : undefined,
      place: place.value,
      prepared: prepared.value,
      evaluation: answer.value,
      entries: entriesOf(garden.records, jobId).filter((e) => e.fillId === null || e.fillId === fillId),
      tests: testsOf(garden.records).filter(
        (t) => t.jobId === jobId && (t.fillId === null || t.fillId === fillId),
      ),
    },
    new Date().toISOString(),
  )
})
const causes = computed(() =>
  symptom.value && facts.value
    ? rankCauses(symptom.value, facts.value).map(({ cause, evidence }) => {
        const { name, tell, do: todo } = CAUSE_TEXTS[cause]
        return {
          id: cause,
          name,
          tell: inUnits(tell, units.value),
          todo: inUnits(todo, units.value),
          speaksFor: evidence.filter((e) => e.factor > 1).map((e) => evidenceText(e, units.value)),
          speaksAgainst: evidence.filter((e) => e.factor < 1).map((e) => evidenceText(e, units.value)),
        }
      })
    : [],
)
/** On a phone the answer is below a long list: it comes into sight with the choice. */
const answer = useTemplateRef<HTMLElement>('answer')
watch(seen, async () => {
  await nextTick()
  const top = answer.value?.getBoundingClientRect().top ?? 0
  if (top > window.innerHeight) answer.value?.scrollIntoView({ block: 'start' })
})
const text = computed(() => symptom.value && SYMPTOM_TEXTS[symptom.value.id])
</script>

<template>
  <StationFrame v-if="job" columns="minmax(280px, 1fr) minmax(0, 1.4fr)">
    <section class="stack" aria-labelledby="wrong-title">
      <h2 id="wrong-title">{{ common.somethingLooksWrong }}</h2>
      <ChoiceField
        v-if="beds.length > 1"
        v-model="bed"
        :label="common.bed"
        :placeholder="beds[0]!.label"
        :options="beds"
      />
      <ChoiceField
        v-model="where"
        :label="words.whereYouSeeIt"
        :placeholder="words.anywhere"
        clearable
        :options="SYMPTOM_PLACES.map((p) => ({ value: p, label: PLACE_NAMES[p] }))"
      />
      <h3 id="seen-title">{{ words.whatYouSee }}</h3>
      <ul class="plain seen" aria-labelledby="seen-title">
        <li v-for="s in offered" :key="s.id">
          <label>
            <input v-model="seen" type="radio" name="seen" :value="s.id" />
            {{ SYMPTOM_TEXTS[s.id]?.seen }}
          </label>
        </li>
      </ul>
    </section>
    <section ref="answer" class="stack" aria-labelledby="causes-title" aria-live="polite">
      <h2 id="causes-title">{{ words.whatMayBeBehindIt }}</h2>
      <p v-if="!symptom" class="soft">
        {{ words.chooseWhatYouSeeWhat }}
      </p>
      <p v-else-if="!facts">{{ words.itsMixCannotBeWorked }}</p>
      <template v-else-if="text">
        <CauseList :causes="causes" />
        <p v-if="text.else"><strong>{{ words.orSomethingElse }}</strong> {{ text.else }}</p>
        <p><strong>{{ words.whomToAsk }}</strong> {{ text.ask }}.</p>
        <p class="soft">
          {{ words.anOrderOfLikelihoodFrom }}
          <RouterLink
            :to="{ name: 'tests', params: { garden: garden.name }, query: { of: `job ${jobId}` } }"
            >{{ words.tests }}</RouterLink
          >{{ words.and }} <RouterLink :to="to('log')">{{ words.noteWhatYouSee }}</RouterLink>.
        </p>
      </template>
    </section>
  </StationFrame>
</template>

<style scoped>
.seen label {
  display: flex;
  gap: 10px;
  min-height: 44px;
  align-items: center;
  cursor: pointer;
}
.seen input {
  width: 20px;
  height: 20px;
  flex: none;
  accent-color: var(--clay);
}
</style>
