<script setup lang="ts">
/** The best single changes, as instructions; a letter makes one. */
import { common } from '@/text/base/common'
import { nextMoves as words } from '@/text/components/bench'
import type { NextMoves } from '@/model/find/nextMoves'
import { changeText, mendsText, MOVE_KEYS, moveText, noMovesText } from '@/text/mix/moves'
import type { UnitSystem } from '@/text/base/units'

const { moves, stale, widest, units, nameOf, failed } = defineProps<{
  /** What a part is called. */
  nameOf: (id: string) => string
  units: UnitSystem
  moves: NextMoves | null
  /** Of an older mix: shown, not to be taken. */
  stale: boolean
  /** Every material of the tables is looked at, not the shelf alone. */
  widest: boolean
  /** Why none come; null while all is well. */
  failed: string | null
}>()
const emit = defineEmits<{ take: [index: number]; preview: [index: number | null]; widen: []; again: [] }>()
</script>

<template>
  <section class="moves" aria-labelledby="moves-title">
    <div class="row head">
      <h2 id="moves-title">{{ words.nextMoves }}</h2>
      <button type="button" class="from" :aria-pressed="widest" @click="emit('widen')">
        {{ widest ? words.fromEveryMaterial : words.fromYourShelf }}
      </button>
    </div>
    <p v-if="failed" class="soft">
      {{ failed }} <button type="button" class="from" @click="emit('again')">{{ common.tryAgain }}</button>
    </p>
    <p v-else-if="!moves" class="soft">{{ words.lookingForChangesThatHelp }}</p>
    <p v-else-if="moves.moves.length === 0" class="soft" :class="{ stale }">
      {{ noMovesText(moves, widest) }}
    </p>
    <ol v-else class="plain" :class="{ stale }" :aria-busy="stale">
      <li v-for="(m, i) in moves.moves" :key="moveText(m, units, nameOf)">
        <button
          type="button"
          @click="emit('take', i)"
          @pointerenter="emit('preview', i)"
          @pointerleave="emit('preview', null)"
          @focus="emit('preview', i)"
          @blur="emit('preview', null)"
        >
          <kbd aria-hidden="true">{{ MOVE_KEYS[i]?.toUpperCase() }}</kbd>
          <span
            ><strong>{{ moveText(m, units, nameOf) }}</strong
            ><small>{{ changeText(m.before, m.after, units) }}</small
            ><small v-if="mendsText(m)" class="ends">{{ mendsText(m) }}</small></span
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
  padding: 11px 0;
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
li .ends {
  color: var(--leaf);
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
