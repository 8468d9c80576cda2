<script setup lang="ts">
/**
 * Whole mixes, to make one a part of the mix on the bench: bags, versions, mixes of other jobs, mixes to begin from.
 */
import { common } from '@/text/base/common'
import { finishedMixDialog as words } from '@/text/components/bench'
import Button from 'primevue/button'
import InputText from 'primevue/inputtext'
import { computed, ref, watch } from 'vue'
import type { MixSource } from '@/model/mix/mixSources'
import { problemText } from '@/text/base/problems.en'
import { KIND_OF_SOURCE, sourceName, sourceText } from '@/text/mix/recipes'
import type { UnitSystem } from '@/text/base/units'
import DialogFrame from '../frame/DialogFrame.vue'

const { sources, units } = defineProps<{ sources: readonly MixSource[]; units: UnitSystem }>()
const visible = defineModel<boolean>('visible', { required: true })
const emit = defineEmits<{ pick: [source: MixSource]; describe: [] }>()

const search = ref('')
watch(visible, (open) => {
  if (open) search.value = ''
})
const rows = computed(() =>
  sources
    .filter((s) => s.kind !== 'bench')
    .map((source) => ({
      source,
      name: sourceName(source),
      says: sourceText(source, units),
      trouble: source.problem ? problemText(source.problem, units).why : null,
    }))
    .filter((r) => `${r.name} ${r.says}`.toLowerCase().includes(search.value.trim().toLowerCase())),
)
function pick(source: MixSource) {
  visible.value = false
  emit('pick', source)
}
function describe() {
  visible.value = false
  emit('describe')
}
</script>

<template>
  <DialogFrame v-model:visible="visible" :header="common.addAFinishedMix" width="44rem">
    <p class="soft">
      {{ words.itGoesInAsOne }}
    </p>
    <div class="row">
      <InputText
        v-model="search"
        autofocus
        class="search"
        :placeholder="common.searchMixes"
        :aria-label="common.searchMixes"
        autocomplete="off"
        @keydown.enter.prevent="rows[0] && !rows[0].trouble && pick(rows[0].source)"
      />
      <Button :label="common.describeABaggedMix" icon="pi pi-tag" outlined @click="describe" />
    </div>
    <ul class="plain list">
      <li v-for="r in rows" :key="r.source.id">
        <button type="button" :disabled="r.trouble !== null" @click="pick(r.source)">
          <span><strong>{{ r.name }}</strong> <small>{{ KIND_OF_SOURCE[r.source.kind] }}</small></span>
          <span>{{ r.trouble ?? r.says }}</span>
        </button>
      </li>
    </ul>
    <p v-if="rows.length === 0" class="soft">
      {{ search ? words.noMixAnswersTo(search) : words.noFinishedMixYetKeep }}
    </p>
  </DialogFrame>
</template>

<style scoped>
.search {
  flex: 1;
  min-width: 12rem;
}
.list {
  max-height: min(52vh, 26rem);
  overflow-y: auto;
  margin-top: 8px;
}
.list button {
  display: flex;
  flex-direction: column;
  width: 100%;
  padding: 8px 6px;
  border: 0;
  border-bottom: 1px solid var(--rule);
  background: none;
  color: var(--ink);
  font: inherit;
  text-align: left;
  cursor: pointer;
}
.list button:disabled {
  color: var(--ink-soft);
  cursor: default;
}
.list button:not(:disabled):is(:hover, :focus-visible) {
  background: var(--clay-wash);
}
.list button:focus-visible {
  outline-offset: -3px;
}
</style>
