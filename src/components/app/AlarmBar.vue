<script setup lang="ts">
/** Something the grower has to know, over every page: at once, or when there is time for it. */
const { calm = false } = defineProps<{ calm?: boolean }>()
</script>

<template>
  <div class="alarm" :class="{ calm }" :role="calm ? 'status' : 'alert'"><slot /></div>
</template>

<style scoped>
.alarm {
  margin: 0;
  background: var(--alarm-wash);
  border-bottom: 2px solid var(--alarm);
  padding: 10px 20px;
}
.alarm.calm {
  background: var(--clay-wash);
  border-bottom-color: var(--clay);
}
.alarm :slotted(.p-button) {
  margin-left: 10px;
}
</style>
