<script setup lang="ts">
/** A liquid feed as its grower gives it: which, how strong, how much and how often. */
import { feedView as words } from '@/text/views/feedView'
import { computed, ref, watch } from 'vue'
import type { Dressing } from '@/core/data'
import type { LiquidFeedLine } from '@/model/garden/schemas'
import { belowNothing } from '@/text/base/belowNothing'
import { dayText, isDay } from '@/text/base/dates'
import { feedAmountText, rhythmOfFeed } from '@/text/season/liquidFeed'
import { feedName } from '@/text/shelf/dressings'
import type { UnitSystem } from '@/text/base/units'
import { daysAfter, daysBetween } from '@/model/calendar/movedDay'
import ChoiceField from '../field/ChoiceField.vue'
import QuantityField from '../field/QuantityField.vue'
import TextField from '../field/TextField.vue'
import DialogForm from '../frame/DialogForm.vue'
import DialogFrame from '../frame/DialogFrame.vue'

const { line, feeds, start, end, units } = defineProps<{
  line: LiquidFeedLine
  /** Feeds to choose from. */
  feeds: readonly Dressing[]
  /** The day of planting, ISO. */
  start: string
  /** Days the season lasts. */
  end: number
  units: UnitSystem
}>()
const visible = defineModel<boolean>('visible', { required: true })
const emit = defineEmits<{ keep: [line: LiquidFeedLine] }>()

const RHYTHMS = [1, 2, 3, 7, 14, 28]
const draft = ref<LiquidFeedLine>({ ...line })
const from = ref('')
const to = ref('')
watch(
  visible,
  (open) => {
    if (!open) return
    draft.value = { ...line }
    from.value = daysAfter(start, line.fromDay)
    to.value = daysAfter(start, line.untilDay ?? end)
  },
  { immediate: true },
)
const dressing = computed(() => feeds.find((d) => d.id === draft.value.dressingId))
const options = computed(() => feeds.map((d) => ({ value: d.id, label: feedName(d.id) })))
const rhythms = computed(() =>
  [...new Set([...RHYTHMS, draft.value.everyDays])]
    .sort((a, b) => a - b)
    .map((value) => ({ value, label: rhythmOfFeed(value) })),
)
const hint = computed(() =>
  dressing.value ? feedAmountText(dressing.value, draft.value.gramsPerLitre, units) : '',
)
const problems = computed(() => {
  const isAfter = (day: string) => isDay(day) && daysBetween(start, day) >= 0
  const late = isAfter(from.value) && isAfter(to.value) && daysBetween(from.value, to.value) < 0
  const fix = dayText(start)
  return {
    grams: belowNothing(draft.value.gramsPerLitre),
    litres: belowNothing(draft.value.litres),
    from: isAfter(from.value) ? null : { why: words.notADay, fix },
    to: !isAfter(to.value) ? { why: words.notADay, fix } : late ? { why: words.endsFirst, fix: '' } : null,
  }
})
const sound = computed(
  () => Object.values(problems.value).every((p) => p === null) && dressing.value !== undefined,
)
function keep() {
  const until = daysBetween(start, to.value)
  emit('keep', {
    ...draft.value,
    fromDay: daysBetween(start, from.value),
    untilDay: until >= end ? null : until,
  })
  visible.value = false
}
</script>

<template>
  <DialogFrame v-model:visible="visible" :header="words.dialog" width="30rem" writing>
    <DialogForm :keep="words.keep" :sound="sound" @keep="keep" @cancel="visible = false">
      <ChoiceField
        :label="words.fedWith"
        :model-value="draft.dressingId"
        :options="options"
        :search="words.feedSearch"
        :none="words.noSuchFeed"
        @update:model-value="$event && (draft.dressingId = $event)"
      />
      <QuantityField
        v-model="draft.gramsPerLitre"
        :label="words.strength"
        quantity="dose"
        :units="units"
        :hint="hint"
        :problem="problems.grams"
      />
      <QuantityField
        v-model="draft.litres"
        :label="words.litresEach"
        quantity="volume"
        :units="units"
        :problem="problems.litres"
      />
      <ChoiceField
        :label="words.howOften"
        :model-value="draft.everyDays"
        :options="rhythms"
        @update:model-value="$event && (draft.everyDays = $event)"
      />
      <div class="pair">
        <TextField v-model="from" :label="words.from" type="date" :problem="problems.from" />
        <TextField v-model="to" :label="words.until" type="date" :problem="problems.to" />
      </div>
    </DialogForm>
  </DialogFrame>
</template>
