<script setup lang="ts">
/** The shelf, to take a material from: search, families, arrow keys. */
import { atOnce } from '@/text/base/atOnce'
import { common } from '@/text/base/common'
import { materialPicker as words } from '@/text/components/shared'
import Button from 'primevue/button'
import InputText from 'primevue/inputtext'
import { computed, ref, watch } from 'vue'
import type { Material } from '@/core/data'
import { airCapacityAt10Cm } from '@/core/data/columnFigures'
import { FAMILY_NAMES } from '@/text/shelf/materials'
import { bewareText, materialFindable, namesOf } from '@/text/shelf/names'
import { search as searchRows } from '@/text/shelf/search'
import { lengthText, percentText, type UnitSystem } from '@/text/base/units'
import MaterialSwatch from './MaterialSwatch.vue'
import DialogFrame from './frame/DialogFrame.vue'

const { materials, taken, units } = defineProps<{
  materials: readonly Material[]
  taken: ReadonlySet<string>
  units: UnitSystem
}>()
const visible = defineModel<boolean>('visible', { required: true })
const emit = defineEmits<{ pick: [materialId: string]; describe: [] }>()

const search = ref('')
const list = ref<HTMLElement | null>(null)
const found = computed(() => searchRows(materials, search.value, materialFindable))

watch(visible, (open) => {
  if (open) search.value = ''
})

function pick(material: Material) {
  emit('pick', material.id)
  visible.value = false
}
function move(event: KeyboardEvent, by: 1 | -1) {
  const buttons = [...(list.value?.querySelectorAll('button') ?? [])]
  const at = buttons.indexOf(document.activeElement as HTMLButtonElement)
  const next = buttons[at + by]
  event.preventDefault()
  if (next) next.focus()
  else if (by < 0) document.querySelector<HTMLInputElement>('#material-search')?.focus()
}
</script>

<template>
  <DialogFrame v-model:visible="visible" :header="common.addFromTheShelf" width="40rem">
    <div @keydown.down="move($event, 1)" @keydown.up="move($event, -1)">
      <InputText
        id="material-search"
        v-model="search"
        autofocus
        class="search"
        :placeholder="words.searchPerlitePeatFreeCompost"
        :aria-label="common.searchMaterials"
        autocomplete="off"
        @keydown.enter.prevent="found[0] && pick(found[0])"
      />
      <ul ref="list" class="plain list">
        <li v-for="m in found" :key="m.id">
          <button type="button" @click="pick(m)">
            <MaterialSwatch :material="m" :size="34" />
            <span class="words">
              <span>{{ m.name }}<em v-if="taken.has(m.id)"> {{ words.inTheMix }}</em></span>
              <small
                >{{ FAMILY_NAMES[m.family]
                }}<template v-if="namesOf(m.id)[0]">: {{ namesOf(m.id)[0] }}</template></small
              >
              <small v-if="search && bewareText(m.id)" class="soft">{{ bewareText(m.id) }}</small>
            </span>
            <small class="numbers">
              {{ atOnce.airPh(percentText(airCapacityAt10Cm(m)), m.properties.pH.value) }}
            </small>
          </button>
        </li>
      </ul>
      <p v-if="found.length === 0" class="soft">{{ common.nothingOnTheShelfAnswers(search) }}</p>
      <div class="row foot">
        <span class="soft">{{ words.airAsInOfThe(lengthText(20, units)) }}</span>
        <Button
          :label="common.aMaterialOfYourOwn"
          icon="pi pi-pencil"
          outlined
          size="small"
          @click="emit('describe')"
        />
      </div>
    </div>
  </DialogFrame>
</template>

<style scoped>
.search {
  width: 100%;
  margin-bottom: 8px;
}
.list {
  max-height: min(52vh, 26rem);
  overflow-y: auto;
}
.list button {
  display: flex;
  align-items: center;
  gap: 12px;
  width: 100%;
  padding: 7px 6px;
  border: 0;
  border-bottom: 1px solid var(--rule);
  background: none;
  color: var(--ink);
  font: inherit;
  text-align: left;
  cursor: pointer;
}
.list button:hover,
.list button:focus-visible {
  background: var(--clay-wash);
}
.list button:focus-visible {
  outline-offset: -3px;
}
.words {
  flex: 1;
  display: flex;
  flex-direction: column;
  line-height: 1.2;
}
.numbers {
  white-space: nowrap;
}
.foot {
  justify-content: space-between;
  margin: 8px 0 0;
  font-size: 0.88rem;
}
</style>
