<script setup lang="ts">
/** A recipe names one feed, the shelf holds another: how much of it, and what differs. */
import { common } from '@/text/base/common'
import { labelDoseDialog as texts } from '@/text/components/bench'
import { computed, ref } from 'vue'
import type { Dressing } from '@/core/data'
import { readAmount, saidOf, valueIn } from '@/model/amounts/amount'
import { labelDose, NUTRIENTS, readLabel, type Nutrient } from '@/model/amounts/labelDose'
import type { JobAmounts } from '@/model/amounts/setting'
import { dressingOfOwn } from '@/model/garden/ownRows'
import type { DressingLine, OwnDressingRecord } from '@/model/garden/schemas'
import { startingOwnDressing } from '@/model/garden/starting'
import { freeLineId, lineOf } from '@/model/mix/doses'
import { amountQuestionText, amountWords, comesToText, noBaseText, usualManner } from '@/text/base/amounts'
import { feedChoices } from '@/text/base/choices'
import { overdoseText } from '@/text/mix/doses'
import { FEED_KINDS, labelDoseText, NUTRIENT_CHOICES, releaseText } from '@/text/mix/labelDose'
import { labelText } from '@/text/shelf/own'
import { partNamed } from '@/text/shelf/partNamed'
import type { Sentence } from '@/text/base/problems.en'
import ChoiceField from '../field/ChoiceField.vue'
import SwitchField from '../field/SwitchField.vue'
import TextField from '../field/TextField.vue'
import DialogForm from '../frame/DialogForm.vue'
import DialogFrame from '../frame/DialogFrame.vue'

const { rows, lines, amounts } = defineProps<{
  /** Dressings on the shelf; those with a label can stand in. */
  rows: readonly Dressing[]
  lines: readonly DressingLine[]
  amounts: JobAmounts
}>()
const visible = defineModel<boolean>('visible', { required: true })
/** With the feed itself, where it was described here. */
const emit = defineEmits<{ give: [line: DressingLine, own: OwnDressingRecord | null] }>()

const label = ref('4-4-4')
const says = ref('')
const mineId = ref<string | null>(null)
const nutrient = ref<Nutrient>('nitrogen')

const recipe = computed(() => readLabel(label.value))
const labelProblem = computed<Sentence | null>(() =>
  recipe.value ? null : { why: texts.aLabelHasThreeNumbers, fix: texts.typeThemAsOnThe },
)
const read = computed(() =>
  readAmount(says.value, {
    system: amounts.system,
    usual: usualManner(amounts.system),
    named: partNamed(amounts),
  }),
)
/** One's own feed by its label, where it is on no shelf yet. */
const mineLabel = ref('')
const mineKind = ref<'soluble' | 'organic' | 'coated'>('soluble')
const typedLabel = computed(() => readLabel(mineLabel.value))
const mineProblem = computed<Sentence | null>(() =>
  mineLabel.value === '' || typedLabel.value
    ? null
    : { why: texts.aLabelHasThreeNumbers, fix: texts.typeThemAsOnThe },
)
const newId = `own:${crypto.randomUUID()}`
const described = computed(() =>
  typedLabel.value
    ? {
        ...startingOwnDressing(newId, new Date().toISOString()),
        name: texts.feedNamed(mineLabel.value.trim()),
        kind: mineKind.value,
        label: typedLabel.value,
      }
    : null,
)
const mine = computed(() => {
  if (!described.value) return rows.find((d) => d.id === mineId.value) ?? null
  const row = dressingOfOwn(described.value)
  return row.ok ? row.value : null
})
const feeds = computed(() =>
  feedChoices(rows.filter((d) => d.label && NUTRIENTS.some((n) => d.label![n] > 0))).map((c) => {
    const row = rows.find((d) => d.id === c.value)
    return {
      ...c,
      label: row?.label && !/\d-\d/.test(c.label) ? `${c.label} ${labelText(row.label)}` : c.label,
    }
  }),
)
const answer = computed(() =>
  recipe.value && read.value.ok && mine.value
    ? labelDose({ label: recipe.value, amount: read.value.amount }, mine.value, nutrient.value, amounts)
    : null,
)
const amountProblem = computed<Sentence | null>(() => {
  if (says.value === '') return null
  if (!read.value.ok) return amountQuestionText(read.value.question, amounts.system)
  return answer.value && !answer.value.ok && answer.value.problem.code === 'size-not-positive'
    ? noBaseText(read.value.amount.manner)
    : null
})
const noneOf = computed(
  () => answer.value && !answer.value.ok && answer.value.problem.code === 'no-dressing-for-target',
)
/** The dose in the manner of the recipe, by weight, and what that comes to. */
const told = computed(() => {
  if (!answer.value?.ok || !read.value.ok || !mine.value) return null
  const setting = { ...amounts, bulkDensity: mine.value.bulkDensity.value }
  const manner = {
    ...read.value.amount.manner,
    unit: amounts.system === 'us' ? ('oz' as const) : ('g' as const),
  }
  const value = valueIn(manner, answer.value.value.gramsPerLitre, setting)
  return value === null
    ? null
    : {
        words: amountWords({ value, manner }, amounts.system),
        comesTo: comesToText({ value, manner }, setting),
        said: saidOf({ value, manner }, amounts.system),
      }
})
const over = computed(() =>
  answer.value?.ok && mine.value
    ? overdoseText(mine.value, answer.value.value.gramsPerLitre, amounts.system)
    : '',
)
function give() {
  if (!answer.value?.ok || !mine.value || !told.value) return
  const line = {
    ...lineOf(mine.value.id, answer.value.value.gramsPerLitre),
    id: freeLineId(mine.value.id, lines),
    measure: told.value.said,
  }
  emit('give', line, described.value)
  visible.value = false
}
</script>

<template>
  <DialogFrame v-model:visible="visible" :header="common.doseByLabel" width="34rem" writing>
    <DialogForm :keep="texts.giveIt" :sound="answer?.ok ?? false" @keep="give" @cancel="visible = false">
      <div class="pair">
        <TextField v-model="label" :label="texts.theRecipesFeedIs" focused :problem="labelProblem" />
        <TextField
          v-model="says"
          :label="texts.theRecipeSays"
          :placeholder="texts.from2TablespoonsPerBucket"
          :problem="amountProblem"
        />
      </div>
      <ChoiceField
        v-model="mineId"
        :label="texts.mineIs"
        :options="feeds"
        :search="texts.searchFeeds"
        :none="texts.noFeedOfThatName"
        :placeholder="texts.chooseAFeed"
      />
      <TextField
        v-model="mineLabel"
        :label="texts.orItsLabel"
        :placeholder="texts.labelExample"
        :problem="mineProblem"
      />
      <div v-if="mineLabel" class="row">
        <span id="feed-kind">{{ texts.itIs }}</span>
        <SwitchField v-model="mineKind" :options="FEED_KINDS" labelled-by="feed-kind" />
      </div>
      <div class="row">
        <span id="match-by">{{ texts.asMuchOfWhichNutrient }}</span>
        <SwitchField v-model="nutrient" :options="NUTRIENT_CHOICES" labelled-by="match-by" />
      </div>
      <p role="status">
        <template v-if="noneOf">{{ texts.oneOfTheTwoHas }}</template>
        <template v-else-if="answer?.ok && told">
          <strong>{{ told.words }}</strong>
          {{ texts.ofYours(told.comesTo, labelDoseText(answer.value, nutrient, amounts.system)) }}
          {{ mine && releaseText(mine) }}
        </template>
      </p>
      <p v-if="over" class="over" role="alert">{{ over }}</p>
    </DialogForm>
  </DialogFrame>
</template>

<style scoped>
.over {
  border-left: 4px solid var(--straw);
  padding-left: 10px;
}
@media (max-width: 560px) {
  .pair {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
