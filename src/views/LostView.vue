<script setup lang="ts">
import { useGarden } from '@/stores/garden'
const garden = useGarden()
</script>

<template>
  <div class="page">
    <h1>There is nothing here</h1>
    <p>The address does not lead to a page, or what it led to has been removed.</p>
    <RouterLink :to="{ name: 'today', params: { garden: garden.name } }">Back to Today</RouterLink>
  </div>
</template>
