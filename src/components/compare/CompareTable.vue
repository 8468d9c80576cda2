<script setup lang="ts">
/** Mixes side by side: what they are of, their profile by depth, and what differs first. */
import { common } from '@/text/base/common'
import { compareTable as says } from '@/text/components/compare'
import Button from 'primevue/button'
import { computed } from 'vue'
import type { Material } from '@/core/data'
import type { ContainerProfile } from '@/core/water'
import type { ComparedRow } from '@/text/mix/compare'
import TermHint from '../frame/TermHint.vue'
import ProfileColumn from '../bench/ProfileColumn.vue'
import PartsColumn from './PartsColumn.vue'

interface Column {
  id: string
  name: string
  /** What it is of, in words. */
  says: string
  /** Why it cannot be worked out. */
  trouble: string
  /** What is said of it first. */
  verdict: string
  profile: ContainerProfile | null
  /** What it is blended of, finished mixes taken apart. */
  parts: readonly { material: Material; parts: number }[]
  /** It comes in bags, and its label can be read again. */
  bagged: boolean
}
const { columns, rows } = defineProps<{ columns: readonly Column[]; rows: readonly ComparedRow[] }>()
const emit = defineEmits<{ drop: [id: string]; label: [id: string]; bench: [id: string] }>()
const several = computed(() => columns.length > 1)
const firstAlike = computed(() => rows.findIndex((r) => r.alike))
</script>

<template>
  <div class="scroll">
    <table class="plain list">
      <thead>
        <tr>
          <td></td>
          <th v-for="c in columns" :key="c.id" scope="col">
            <span class="name">{{ c.name }}</span>
            <Button
              icon="pi pi-times"
              text
              size="small"
              :aria-label="`Leave out ${c.name}`"
              @click="emit('drop', c.id)"
            />
            <Button
              v-if="c.bagged"
              :label="common.label"
              text
              size="small"
              :aria-label="`Label of ${c.name}`"
              @click="emit('label', c.id)"
            />
          </th>
        </tr>
      </thead>
      <tbody>
        <tr>
          <th scope="row">{{ says.inShort }}</th>
          <td v-for="c in columns" :key="c.id" class="parts">{{ c.verdict }}</td>
        </tr>
        <tr>
          <th scope="row">{{ common.parts }}</th>
          <td v-for="c in columns" :key="c.id" class="parts">
            <PartsColumn v-if="c.parts.length" :parts="c.parts" :name="c.name" />
            {{ c.says }}
            <p v-if="c.trouble" class="said wrong">{{ c.trouble }}</p>
          </td>
        </tr>
        <tr>
          <th scope="row">
            {{ says.byDepth
            }}<small class="key"
              ><i class="solids" />{{ says.solids }} <i class="water" />{{ says.water }} <i class="air" />{{
                says.air
              }}</small
            >
          </th>
          <td v-for="c in columns" :key="c.id">
            <ProfileColumn v-if="c.profile" :profile="c.profile" :name="c.name" />
          </td>
        </tr>
        <tr
          v-for="(row, i) in rows"
          :key="row.key"
          :class="{ alike: row.alike && several, first: i === firstAlike }"
        >
          <th scope="row">{{ row.label }}<TermHint v-if="row.key === 'salts'" term="dS/m" /></th>
          <td v-for="(cell, k) in row.cells" :key="k">
            <strong class="figure">{{ cell.text }}</strong>
            <small v-if="cell.open" class="open">{{ cell.open }}</small>
          </td>
        </tr>
        <tr>
          <td></td>
          <td v-for="c in columns" :key="c.id">
            <Button
              v-if="c.id !== 'bench'"
              :label="common.onTheBench"
              size="small"
              outlined
              :aria-label="says.putOnTheBench(c.name)"
              @click="emit('bench', c.id)"
            />
          </td>
        </tr>
      </tbody>
    </table>
    <p v-if="several && firstAlike > -1" class="soft">
      {{ says.rowsInGreyDifferBy }}
    </p>
  </div>
</template>

<style scoped>
thead td {
  width: 11rem;
}
.list {
  table-layout: fixed;
}
.list :is(th, td) {
  vertical-align: top;
  min-width: 9rem;
}
.name {
  font-weight: 600;
}
.parts {
  font-size: 0.92rem;
}
.alike :is(th, .figure) {
  color: var(--ink-soft);
  font-weight: 400;
}
.first :is(th, td) {
  border-top: 2px solid var(--rule);
}
.open {
  display: block;
}
.key {
  display: block;
  font-weight: 400;
  white-space: nowrap;
}
.key i {
  display: inline-block;
  width: 10px;
  height: 10px;
  border: 1px solid var(--ink);
  margin-left: 4px;
  margin-right: 4px;
}
.key .solids {
  background: #6b5136;
}
.key .water {
  background: #5b8fae;
}
.key .air {
  background: var(--sheet);
}
@media (max-width: 760px) {
  thead td {
    width: 6.2rem;
  }
  .list :is(th, td) {
    min-width: 6.5rem;
    overflow-wrap: anywhere;
  }
  .key {
    white-space: normal;
  }
}
</style>
