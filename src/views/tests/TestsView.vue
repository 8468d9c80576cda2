<script setup lang="ts">
/** Field tests: what can be measured of a mix or a material, what is going on, and what was found. */
import { common } from '@/text/base/common'
import { testsView as says } from '@/text/views/testsView'
import Button from 'primevue/button'
import { computed } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import ChoiceField from '@/components/field/ChoiceField.vue'
import StationFrame from '@/components/frame/StationFrame.vue'
import { FIELD_TESTS, type FieldTest } from '@/core/fieldTests'
import { testsOf } from '@/model/garden/garden'
import { everyMaterial } from '@/model/garden/tables'
import { startingTest } from '@/model/learn/startingTest'
import { useGarden } from '@/stores/garden'
import { dayText } from '@/text/base/dates'
import { TEST_TEXTS } from '@/text/tests/fieldTests'
import { testedText } from '@/text/tests/tested'
import { jobTitle, shortName } from '@/text/base/titles'
import { materialFindable } from '@/text/shelf/names'

const garden = useGarden()
const route = useRoute()
const router = useRouter()
/** "job x" or "material y"; null while nothing is chosen. */
const of = computed<string | null>({
  get: () => (typeof route.query.of === 'string' ? route.query.of : null),
  set: (value) => void router.replace({ query: value ? { of: value } : {} }),
})
const options = computed(() => [
  ...garden.jobs
    .filter((j) => j.parts.length > 0 && !j.archived)
    .map((j) => ({ value: `job ${j.id}`, label: jobTitle(j), words: ['mix', 'bed', 'batch'] })),
  ...everyMaterial(garden.records).map((m) => ({
    value: `material ${m.id}`,
    label: shortName(m.id),
    words: materialFindable(m).words,
  })),
])
const isMaterial = computed(() => of.value?.startsWith('material ') ?? false)
const offered = computed(() =>
  FIELD_TESTS.filter(
    (t) => of.value === null || TEST_TEXTS[t].on.includes(isMaterial.value ? 'material' : 'mix'),
  ),
)
function begin(test: FieldTest) {
  if (!of.value) return
  const [kind, id] = of.value.split(/ (.*)/s) as [string, string]
  const one = startingTest(
    crypto.randomUUID(),
    test,
    kind === 'job' ? { jobId: id } : { materialId: id },
    new Date().toISOString(),
  )
  garden.run({ type: 'test/set', test: one, what: says.beginningATest })
  void router.push({ name: 'test', params: { garden: garden.name, testId: one.id } })
}
const rows = computed(() =>
  testsOf(garden.records)
    .filter((t) => !of.value || of.value === `job ${t.jobId}` || of.value === `material ${t.materialId}`)
    .map((t) => ({
      id: t.id,
      name: TEST_TEXTS[t.test].name,
      of: testedText(garden.records, t),
      when: t.finishedAt ? dayText(t.finishedAt) : says.goingOn,
    })),
)
</script>

<template>
  <StationFrame columns="minmax(0, 1.5fr) minmax(280px, 1fr)">
    <section class="stack" aria-labelledby="tests-title">
      <h1 id="tests-title">{{ says.tests }}</h1>
      <p class="soft">
        {{ says.everyFigureIsAnEstimate }}
      </p>
      <ChoiceField
        v-model="of"
        :label="says.whatIsTestedAMix"
        :placeholder="says.aMixOrAMaterial"
        :search="says.typeToFindIt"
        :none="says.nothingIsCalledThat"
        :options="options"
        clearable
      />
      <ul class="plain offered">
        <li v-for="test in offered" :key="test">
          <div>
            <strong>{{ TEST_TEXTS[test].name }}</strong>
            <p>{{ TEST_TEXTS[test].tells }}</p>
          </div>
          <Button
            v-if="of"
            :label="says.begin"
            outlined
            :aria-label="says.begin2(TEST_TEXTS[test].name)"
            @click="begin(test)"
          />
        </li>
      </ul>
    </section>
    <section class="stack" aria-labelledby="done-title">
      <h2 id="done-title">{{ says.goingOnAndDone }}</h2>
      <p v-if="rows.length === 0" class="soft">{{ says.noTestYet }}</p>
      <ul v-else class="plain">
        <li v-for="r in rows" :key="r.id" class="done">
          <RouterLink :to="{ name: 'test', params: { garden: garden.name, testId: r.id } }">
            {{ r.name }}
          </RouterLink>
          <small>{{ r.of }}, {{ r.when }}</small>
        </li>
      </ul>
      <p>
        <RouterLink :to="{ name: 'learned', params: { garden: garden.name } }">{{
          common.whatReadingsTaught
        }}</RouterLink>
      </p>
    </section>
  </StationFrame>
</template>

<style scoped>
.offered li {
  display: flex;
  gap: 14px;
  align-items: center;
  border-bottom: 1px solid var(--rule);
  padding: 8px 0;
}
.offered div {
  flex: 1;
}
.offered p {
  margin: 2px 0 0;
}
.offered .p-button {
  min-height: 48px;
}
.done {
  padding: 6px 0;
  border-bottom: 1px solid var(--rule);
}
.done small {
  display: block;
}
</style>
