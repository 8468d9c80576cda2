<script setup lang="ts">
/** A sheet for who waters, read from its link alone. */
import { awayView as words } from '@/text/views/awayView'
import { computed } from 'vue'
import { useRoute } from 'vue-router'
import AwaySheetList from '@/components/water/AwaySheetList.vue'
import { readAwaySheet } from '@/model/water/awaySheet'
import { TITLES } from '@/text/views/titles'

const route = useRoute()
const sheet = computed(() => readAwaySheet(route.hash))
</script>

<template>
  <div class="page narrow">
    <AwaySheetList v-if="sheet" :sheet="sheet" />
    <template v-else>
      <h1>{{ TITLES.sheet }}</h1>
      <p>{{ words.broken }}</p>
    </template>
  </div>
</template>
