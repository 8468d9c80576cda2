<script setup lang="ts">
/**
 * A bagged mix as its label has it: what is in it in that order, its pH, the fertilizer in it, what a bag holds and
 * costs.
 */
import { common } from '@/text/base/common'
import { bagDialog as words } from '@/text/components/bench'
import Button from 'primevue/button'
import { computed, ref } from 'vue'
import { whenOpened } from '@/composables/page/whenOpened'
import type { Dressing, Material, Tables } from '@/core/data'
import { LONGEST_NAME } from '@/model/garden/limits'
import type { Bag } from '@/model/garden/schemas'
import { describeBag } from '@/model/mix/bags'
import { feedChoices } from '@/text/base/choices'
import { noteText, problemField, problemText } from '@/text/base/problems.en'
import { bagText } from '@/text/mix/recipes'
import type { UnitSystem } from '@/text/base/units'
import ChoiceField from '../field/ChoiceField.vue'
import QuantityField from '../field/QuantityField.vue'
import TextField from '../field/TextField.vue'
import DialogForm from '../frame/DialogForm.vue'
import DialogFrame from '../frame/DialogFrame.vue'
import IngredientList from './IngredientList.vue'

const { materials, dressings, tables, bag, units, listed } = defineProps<{
  /** What its label can name. */
  materials: readonly Material[]
  dressings: readonly Dressing[]
  tables: Tables
  /** The bag to begin from; null while the dialog is shut. */
  bag: Bag | null
  units: UnitSystem
  /** It is among the bags already, and can be removed. */
  listed: boolean
}>()
const emit = defineEmits<{ save: [bag: Bag]; remove: [bagId: string]; close: [] }>()

/** A copy that shares nothing: what is written in the dialog is no record yet. A bag is plain data. */
const copyOf = (of: Bag): Bag => JSON.parse(JSON.stringify(of)) as Bag
const draft = ref<Bag | null>(null)
whenOpened(
  () => bag?.id ?? null,
  () => (draft.value = copyOf(bag!)),
)

const answer = computed(() => (draft.value ? describeBag(draft.value, 'mix:draft', tables) : null))
const wrong = computed(() => (answer.value && !answer.value.ok ? answer.value.problem : null))
const trouble = computed(() => wrong.value && problemText(wrong.value, units))
const beside = (field: string) => (wrong.value && problemField(wrong.value) === field ? trouble.value : null)
const FIELDS = ['bagLitres', 'bagPrice', 'limeTarget']
/** Told below only where it belongs beside no field. */
const troubleBelow = computed(() => (FIELDS.some(beside) ? null : trouble.value))
const notes = computed(() => (answer.value?.ok ? answer.value.notes.map((n) => noteText(n, units)) : []))

const feeds = computed(() => [{ value: '', label: words.noneOrNoneItNames }, ...feedChoices(dressings)])
function setFeed(id: string | null) {
  if (!draft.value) return
  draft.value.feed = id ? { dressingId: id, gramsPerLitre: draft.value.feed?.gramsPerLitre ?? 1 } : null
}
/** An empty field says that the label says nothing. */
const orNull = (x: number) => (Number.isNaN(x) ? null : x)
function save() {
  if (draft.value && answer.value?.ok) emit('save', { ...copyOf(draft.value), name: draft.value.name.trim() })
}
</script>

<template>
  <DialogFrame
    :visible="bag !== null"
    :header="words.aBaggedMixFromIts"
    writing
    @update:visible="emit('close')"
  >
    <DialogForm
      v-if="draft"
      :keep="common.keep"
      :sound="answer?.ok ?? false"
      @keep="save"
      @cancel="emit('close')"
    >
      <TextField
        v-model="draft.name"
        :label="common.whatYouCallIt"
        focused
        :most="LONGEST_NAME"
        :placeholder="common.baggedMix"
      />
      <div class="pair">
        <QuantityField
          v-model="draft.litres"
          :label="words.aBagHolds"
          quantity="bagVolume"
          :units="units"
          :problem="beside('bagLitres')"
        />
        <QuantityField
          :label="words.aBagCosts"
          quantity="number"
          :units="units"
          :problem="beside('bagPrice')"
          :model-value="draft.price ?? NaN"
          optional
          :hint="common.inYourMoney0For"
          @update:model-value="draft.price = orNull($event)"
        />
      </div>
      <IngredientList v-model="draft.ingredients" :rows="materials" :units="units" />
      <div class="pair">
        <QuantityField
          :label="words.phOnTheLabel"
          quantity="number"
          :units="units"
          :problem="beside('limeTarget')"
          :model-value="draft.pH ?? NaN"
          optional
          :hint="words.from0WhereItSaysNone"
          @update:model-value="draft.pH = orNull($event)"
        />
        <ChoiceField
          :label="words.fertilizerInIt"
          :model-value="draft.feed?.dressingId ?? ''"
          :options="feeds"
          :search="words.searchFertilizers"
          :none="words.noFertilizerOfThatName"
          @update:model-value="setFeed"
        >
          <QuantityField
            v-if="draft.feed"
            v-model="draft.feed.gramsPerLitre"
            :label="words.soMuchOfIt"
            quantity="dose"
            :units="units"
            :problem="beside(draft.feed.dressingId)"
            :hint="units === 'metric' ? words.kilogramsInACubicMetre : ''"
          />
        </ChoiceField>
      </div>
      <div role="status">
        <p v-if="draft.ingredients.length === 0" class="soft">
          {{ words.nameWhatItListsMost }}
        </p>
        <p v-else-if="troubleBelow" class="said wrong">
          <strong>{{ troubleBelow.why }}</strong> {{ troubleBelow.fix }}
        </p>
        <p v-else-if="answer?.ok">
          <strong>{{ words.takenAs }}</strong> {{ bagText(answer.value.mix, units) }}.
          <template v-if="answer.value.corners.length > 1">{{ words.theLabelLeavesThisOpen }}</template>
        </p>
        <p v-for="note in notes" :key="note" class="soft">{{ note }}</p>
      </div>
      <template #beside>
        <Button
          v-if="listed"
          type="button"
          :label="common.remove"
          icon="pi pi-trash"
          text
          @click="emit('remove', draft.id)"
        />
      </template>
    </DialogForm>
  </DialogFrame>
</template>

<style scoped>
@media (max-width: 560px) {
  .pair {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
