<script setup lang="ts">
/** One thing of the past in a list: what it is, and beside it what is known of it or can be done with it. */
</script>

<template>
  <div class="line"><slot /></div>
</template>

<style scoped>
.line {
  display: flex;
  justify-content: space-between;
  gap: 12px;
  padding: 10px 0;
  border-bottom: 1px solid var(--rule);
}
.line :slotted(.numbers) {
  text-align: right;
  white-space: nowrap;
}
</style>
