<script setup lang="ts">
import { common } from '@/text/base/common'
import { lostView as words } from '@/text/views/lostView'
import { useGarden } from '@/stores/garden'
const garden = useGarden()
</script>

<template>
  <div class="page">
    <h1>{{ words.thereIsNothingHere }}</h1>
    <p>{{ words.theAddressDoesNotLead }}</p>
    <RouterLink :to="{ name: 'today', params: { garden: garden.name } }">{{ common.backToToday }}</RouterLink>
  </div>
</template>
