<script setup lang="ts">
/** Something the grower has to know at once, over every page. */
</script>

<template>
  <div class="alarm" role="alert"><slot /></div>
</template>

<style scoped>
.alarm {
  margin: 0;
  background: var(--alarm-wash);
  border-bottom: 2px solid var(--alarm);
  padding: 10px 20px;
}
.alarm :slotted(.p-button) {
  margin-left: 10px;
}
</style>
