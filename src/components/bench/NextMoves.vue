<script setup lang="ts">
/** The best single changes, as instructions; a digit takes one. */
import type { NextMoves } from '@/core/finder'
import { changeText, moveText } from '@/text/moves'
import type { UnitSystem } from '@/text/units'

const { moves, stale, widest, units, nameOf } = defineProps<{
  /** What a part is called. */
  nameOf: (id: string) => string
  units: UnitSystem
  moves: NextMoves | null
  /** Of an older mix: shown, not to be taken. */
  stale: boolean
  /** Every material of the tables is looked at, not the shelf alone. */
  widest: boolean
}>()
const emit = defineEmits<{ take: [index: number]; preview: [index: number | null]; widen: [] }>()
</script>

<template>
  <section class="moves" aria-labelledby="moves-title">
    <div class="row head">
      <h2 id="moves-title">Next moves</h2>
      <button type="button" class="from" :aria-pressed="widest" @click="emit('widen')">
        {{ widest ? 'from every material' : 'from your shelf' }}
      </button>
    </div>
    <p v-if="!moves" class="soft">They come with the first part.</p>
    <p v-else-if="moves.moves.length === 0" class="soft">
      {{
        moves.score < 0.05
          ? 'Everything is within its band. Nothing to mend.'
          : widest
            ? 'No single change helps. The finder may know a whole other mix.'
            : 'No single change from your shelf helps. Look among every material, or ask the finder.'
      }}
    </p>
    <ol v-else class="plain" :class="{ stale }" :aria-busy="stale">
      <li v-for="(m, i) in moves.moves" :key="moveText(m, nameOf)">
        <button
          type="button"
          @click="emit('take', i)"
          @pointerenter="emit('preview', i)"
          @pointerleave="emit('preview', null)"
          @focus="emit('preview', i)"
          @blur="emit('preview', null)"
        >
          <kbd aria-hidden="true">{{ i + 1 }}</kbd>
          <span
            ><strong>{{ moveText(m, nameOf) }}</strong
            ><small>{{ changeText(m.before, m.after, units) || 'same figures' }}</small></span
          >
        </button>
      </li>
    </ol>
  </section>
</template>

<style scoped>
.head {
  justify-content: space-between;
}
.from {
  background: none;
  border: 0;
  color: var(--clay);
  text-decoration: underline;
  font: inherit;
  cursor: pointer;
  padding: 6px 0;
}
li button {
  display: flex;
  gap: 10px;
  align-items: baseline;
  width: 100%;
  min-height: 44px;
  padding: 5px 8px;
  text-align: left;
  background: none;
  border: 1px solid transparent;
  border-bottom-color: var(--rule);
  color: var(--ink);
  font: inherit;
  cursor: pointer;
}
li button:hover,
li button:focus-visible {
  background: var(--clay-wash);
  border-color: var(--clay);
  border-radius: var(--round);
}
li span {
  display: flex;
  flex-direction: column;
  line-height: 1.25;
}
li strong {
  font-weight: 600;
}
/* Told by the eye only where it lasts: most answers are there sooner. */
ol {
  transition: opacity 0s;
}
.stale {
  opacity: 0.55;
  transition-delay: 0.25s;
}
</style>
