<script setup lang="ts">
/** A bagged mix as its label has it: what is in it in that order, its pH, the fertilizer in it, what a bag holds and costs. */
import Button from 'primevue/button'
import Dialog from 'primevue/dialog'
import InputText from 'primevue/inputtext'
import Select from 'primevue/select'
import { computed, ref, toRaw, watch } from 'vue'
import { MATERIALS } from '@/core/data'
import { DRESSINGS } from '@/core/data/dressings'
import { describeBag } from '@/model/mix/bags'
import type { Bag } from '@/model/garden/schemas'
import { shortName } from '@/text/labels'
import { noteText, problemField, problemText } from '@/text/problems.en'
import { bagText } from '@/text/recipes'
import type { UnitSystem } from '@/text/units'
import QuantityField from '../QuantityField.vue'

const { bag, units, listed } = defineProps<{
  /** The bag to begin from; null while the dialog is shut. */
  bag: Bag | null
  units: UnitSystem
  /** It is among the bags already, and can be removed. */
  listed: boolean
}>()
const emit = defineEmits<{ save: [bag: Bag]; remove: [bagId: string]; close: [] }>()

const draft = ref<Bag | null>(null)
watch(
  () => bag,
  (now) => {
    draft.value = now && structuredClone(toRaw(now))
  },
  { immediate: true },
)

const answer = computed(() => (draft.value ? describeBag(draft.value, 'mix:draft') : null))
const trouble = computed(() =>
  answer.value && !answer.value.ok ? problemText(answer.value.problem, units) : null,
)
const troubleAt = computed(() =>
  answer.value && !answer.value.ok ? problemField(answer.value.problem) : null,
)
const beside = (field: string) => (troubleAt.value === field ? trouble.value : null)
const FIELDS = new Set(['bagLitres', 'bagPrice', 'limeTarget'])
const notes = computed(() => (answer.value?.ok ? answer.value.notes.map((n) => noteText(n, units)) : []))
/** Nothing listed yet is no mistake. */
const empty = computed(() => draft.value?.ingredients.length === 0)

const offered = computed(() => {
  const taken = new Set(draft.value?.ingredients.map((i) => i.materialId))
  return MATERIALS.filter((m) => m.family !== 'mix' && !taken.has(m.id)).map((m) => ({
    id: m.id,
    label: m.name,
  }))
})
const feeds = [
  { id: '', label: 'None, or none it names' },
  ...DRESSINGS.filter((d) => d.family !== 'lime').map((d) => ({ id: d.id, label: d.name })),
]
const MOST = 12
function add(materialId: string | null) {
  if (materialId && draft.value && draft.value.ingredients.length < MOST)
    draft.value.ingredients.push({ materialId, share: null })
}
function move(from: number, by: 1 | -1) {
  const list = draft.value!.ingredients
  const [one] = list.splice(from, 1)
  if (one) list.splice(from + by, 0, one)
}
function setFeed(id: string) {
  if (!draft.value) return
  draft.value.feed = id ? { dressingId: id, gramsPerLitre: draft.value.feed?.gramsPerLitre ?? 1 } : null
}
function save() {
  if (draft.value && answer.value?.ok)
    emit('save', { ...structuredClone(toRaw(draft.value)), name: draft.value.name.trim() })
}
</script>

<template>
  <Dialog
    :visible="bag !== null"
    modal
    header="A bagged mix, from its label"
    :style="{ width: 'min(40rem, 96vw)' }"
    @update:visible="emit('close')"
  >
    <form v-if="draft" class="form" @submit.prevent="save">
      <div class="field">
        <label for="bag-name">What you call it</label>
        <InputText id="bag-name" v-model="draft.name" autofocus maxlength="120" placeholder="Bagged mix" />
      </div>
      <div class="two">
        <QuantityField
          v-model="draft.litres"
          label="A bag holds"
          quantity="bagVolume"
          :units="units"
          :problem="beside('bagLitres')"
        />
        <QuantityField
          label="A bag costs"
          quantity="number"
          :units="units"
          :problem="beside('bagPrice')"
          :model-value="draft.price ?? 0"
          hint="in your money; 0 for unknown"
          @update:model-value="draft.price = $event === 0 ? null : $event"
        />
      </div>
      <fieldset>
        <legend>What is in it, in the order of the label</legend>
        <ol v-if="draft.ingredients.length" class="plain">
          <li v-for="(one, i) in draft.ingredients" :key="one.materialId">
            <span class="name">{{ shortName(one.materialId) }}</span>
            <QuantityField
              :label="`Share of ${shortName(one.materialId)}`"
              class="share"
              quantity="percent"
              :units="units"
              :model-value="one.share ?? 0"
              @update:model-value="one.share = $event === 0 ? null : $event"
            />
            <span class="moves">
              <Button
                icon="pi pi-arrow-up"
                text
                size="small"
                :disabled="i === 0"
                :aria-label="`${shortName(one.materialId)} earlier`"
                @click="move(i, -1)"
              />
              <Button
                icon="pi pi-arrow-down"
                text
                size="small"
                :disabled="i === draft.ingredients.length - 1"
                :aria-label="`${shortName(one.materialId)} later`"
                @click="move(i, 1)"
              />
              <Button
                icon="pi pi-times"
                text
                size="small"
                :aria-label="`Take out ${shortName(one.materialId)}`"
                @click="draft.ingredients.splice(i, 1)"
              />
            </span>
          </li>
        </ol>
        <p class="soft">The share where the label says one; 0 where it does not.</p>
        <Select
          v-if="draft.ingredients.length < MOST"
          :model-value="null"
          :options="offered"
          option-label="label"
          option-value="id"
          filter
          auto-filter-focus
          placeholder="Add what it lists next"
          filter-placeholder="Search materials"
          empty-filter-message="No material of that name"
          aria-label="Add an ingredient"
          fluid
          @update:model-value="add"
        />
      </fieldset>
      <div class="two">
        <QuantityField
          label="pH on the label"
          quantity="number"
          :units="units"
          :problem="beside('limeTarget')"
          :model-value="draft.pH ?? 0"
          hint="0 where it says none"
          @update:model-value="draft.pH = $event === 0 ? null : $event"
        />
        <div class="field">
          <label for="bag-feed">Fertilizer in it</label>
          <Select
            input-id="bag-feed"
            :model-value="draft.feed?.dressingId ?? ''"
            :options="feeds"
            option-label="label"
            option-value="id"
            filter
            auto-filter-focus
            filter-placeholder="Search fertilizers"
            aria-label="Fertilizer in it"
            @update:model-value="setFeed"
          />
          <QuantityField
            v-if="draft.feed"
            v-model="draft.feed.gramsPerLitre"
            label="So much of it"
            quantity="dose"
            :units="units"
            :problem="beside(draft.feed.dressingId)"
            :hint="units === 'metric' ? 'kilograms in a cubic metre are grams in a litre' : ''"
          />
        </div>
      </div>
      <div class="taken" role="status">
        <p v-if="empty" class="soft">
          Name what it lists, most first. What the label leaves open is taken at the middle of all it could
          be.
        </p>
        <p v-else-if="trouble && !FIELDS.has(troubleAt ?? '')" class="wrong">
          <strong>{{ trouble.why }}</strong> {{ trouble.fix }}
        </p>
        <p v-else-if="answer?.ok">
          <strong>Taken as:</strong> {{ bagText(answer.value.mix, units) }}.
          <template v-if="answer.value.corners.length > 1"
            >The label leaves this open; Compare shows between what.</template
          >
        </p>
        <p v-for="note in notes" :key="note" class="soft">{{ note }}</p>
      </div>
      <div class="row">
        <Button type="submit" label="Keep" :disabled="!answer?.ok" />
        <Button type="button" label="Cancel" outlined @click="emit('close')" />
        <Button
          v-if="listed"
          type="button"
          label="Remove"
          icon="pi pi-trash"
          text
          @click="emit('remove', draft.id)"
        />
      </div>
    </form>
  </Dialog>
</template>

<style scoped>
.form {
  display: flex;
  flex-direction: column;
  gap: 12px;
}
.two {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 12px;
  align-items: start;
}
fieldset {
  border: 1px solid var(--rule);
  border-radius: var(--round);
  padding: 8px 12px 12px;
  margin: 0;
}
legend {
  font-weight: 600;
  font-size: 0.95rem;
}
li {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 7.5rem auto;
  gap: 8px;
  align-items: center;
  border-bottom: 1px solid var(--rule);
}
.share :deep(label) {
  position: absolute;
  width: 1px;
  height: 1px;
  overflow: hidden;
  clip-path: inset(50%);
}
.moves {
  display: flex;
}
p {
  margin: 4px 0;
}
.wrong {
  color: var(--alarm);
}
@media (max-width: 560px) {
  .two {
    grid-template-columns: minmax(0, 1fr);
  }
  li {
    grid-template-columns: minmax(0, 1fr) auto;
    padding: 6px 0;
  }
  .name {
    grid-column: 1 / -1;
  }
}
</style>
