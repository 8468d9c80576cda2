<script setup lang="ts">
/** A plain table of figures: the first column names the row, the others are set flush right. */
const {
  head = [],
  rows,
  caption = '',
} = defineProps<{
  head?: readonly string[]
  rows: readonly (readonly string[])[]
  /** For screen readers. */
  caption?: string
}>()
</script>

<template>
  <table class="plain">
    <caption v-if="caption" class="visually-hidden">
      {{ caption }}
    </caption>
    <thead v-if="head.length">
      <tr>
        <th v-for="(h, i) in head" :key="h" scope="col" :class="{ num: i > 0 }">{{ h }}</th>
      </tr>
    </thead>
    <tbody>
      <tr v-for="(row, r) in rows" :key="r">
        <th scope="row">{{ row[0] }}</th>
        <td v-for="(cell, i) in row.slice(1)" :key="i" class="num">{{ cell }}</td>
      </tr>
    </tbody>
  </table>
</template>
