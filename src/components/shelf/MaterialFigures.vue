<script setup lang="ts">
/** Every figure of a material with its range, how sure it is, and where it comes from. */
import { materialFigures as words } from '@/text/components/shelf'
import { computed } from 'vue'
import type { Material } from '@/core/data'
import { materialFigures, materialSources } from '@/text/shelf/materialFigures'
import { mistakenText } from '@/text/shelf/materials'
import { fromReadingsText } from '@/text/readings/reading'
import DialogFrame from '../frame/DialogFrame.vue'

const { material, readings = 0 } = defineProps<{
  /** Null while the dialog is shut. */
  material: Material | null
  /** Of the grower's readings behind what is measured of it. */
  readings?: number
}>()
const emit = defineEmits<{ close: [] }>()
const figures = computed(() => (material ? materialFigures(material) : []))
const sources = computed(() => (material ? materialSources(material) : []))
</script>

<template>
  <DialogFrame
    :visible="material !== null"
    :header="material?.name ?? ''"
    width="46rem"
    scrolls
    @update:visible="emit('close')"
  >
    <template v-if="material">
      <table class="plain">
        <thead>
          <tr>
            <th scope="col">{{ words.figure }}</th>
            <th scope="col" class="num">{{ words.best }}</th>
            <th scope="col" class="num">{{ words.likelyRange }}</th>
            <th scope="col">{{ words.howSure }}</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="f in figures" :key="f.label">
            <th scope="row">{{ f.label }}<br /><small>{{ f.term }}</small></th>
            <td class="num">{{ f.best }}</td>
            <td class="num">{{ f.range }}</td>
            <td>{{ f.isMeasured && readings > 0 ? fromReadingsText(readings) : f.sure }}</td>
          </tr>
        </tbody>
      </table>
      <p><strong>{{ words.sources }}</strong>{{ words.recalledRatherThanReadAs(material.confidence) }}</p>
      <ul>
        <li v-for="[citation, names] in sources" :key="citation">{{ citation }}: {{ names.join(', ') }}.</li>
      </ul>
      <p v-if="mistakenText(material.id)">
        <strong>{{ words.notSo }}</strong> {{ mistakenText(material.id) }}
      </p>
      <p v-if="material.hazards"><strong>{{ words.mind }}</strong> {{ material.hazards }}.</p>
    </template>
  </DialogFrame>
</template>

<style scoped>
:is(p, ul) {
  margin: 10px 0 0;
}
</style>
