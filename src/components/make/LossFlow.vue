<script setup lang="ts">
/** From what is measured out to what is in place: what stirring and settling take on the way. */
import { lossFlow as says } from '@/text/components/make'
const { stages, losses } = defineProps<{
  stages: readonly { figure: string; words: string }[]
  /** Between one stage and the next. */
  losses: readonly string[]
}>()
</script>

<template>
  <section class="flow" :aria-label="says.fromTheBucketToThe">
    <template v-for="(stage, i) in stages" :key="stage.words">
      <div><strong class="figure">{{ stage.figure }}</strong><span>{{ stage.words }}</span></div>
      <div v-if="losses[i]" class="loss"><span aria-hidden="true">→</span><small>{{ losses[i] }}</small></div>
    </template>
  </section>
</template>

<style scoped>
.flow {
  display: flex;
  align-items: center;
  gap: 22px;
  padding: 10px 0 14px;
  flex-wrap: wrap;
}
.flow > div {
  display: flex;
  flex-direction: column;
}
.flow .figure {
  font-size: 1.6rem;
}
.loss {
  align-items: center;
  color: var(--ink-soft);
}
.loss span {
  font-size: 1.4rem;
  line-height: 1;
}
@media (max-width: 760px) {
  .flow {
    flex-wrap: nowrap;
    align-items: flex-start;
    gap: 8px;
    padding: 4px 0 6px;
    font-size: 0.88rem;
    line-height: 1.25;
  }
  .flow .figure {
    font-size: 1.2rem;
    white-space: nowrap;
  }
  .flow > .loss small {
    text-align: center;
  }
}
</style>
