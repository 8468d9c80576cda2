<script setup lang="ts">
/**
 * Short cautions where the hand is about to do the thing, each with who to ask. Read once a day they fold away, but for
 * those that can do lasting harm.
 */
import { cautionList as words } from '@/text/components/shared'
import Button from 'primevue/button'
import { computed } from 'vue'
import { isNeverOff, type Caution } from '@/text/base/cautions'

const {
  cautions,
  heading,
  read = null,
} = defineProps<{
  cautions: readonly Caution[]
  heading: string
  /** Those read today; null where none is asked about, as on paper. */
  read?: ReadonlySet<string> | null
}>()
const emit = defineEmits<{ read: [ids: string[]] }>()
const shown = computed(() => cautions.filter((c) => !read?.has(c.id) || isNeverOff(c)))
const folded = computed(() => cautions.filter((c) => !shown.value.includes(c)))
const isUnread = computed(() => read !== null && cautions.some((c) => !read.has(c.id)))
</script>

<template>
  <aside v-if="cautions.length" class="cautions" :aria-label="heading">
    <h3><span aria-hidden="true">⚠ </span>{{ heading }}</h3>
    <ul class="plain">
      <li v-for="c in shown" :key="c.id">
        <strong>{{ c.title }}.</strong> {{ c.text }} <span class="soft">{{ words.ask(c.ask) }}</span>
      </li>
    </ul>
    <Button
      v-if="isUnread"
      class="no-print"
      :label="words.iHaveReadThis"
      outlined
      @click="
        emit(
          'read',
          cautions.map((c) => c.id),
        )
      "
    />
    <details v-if="folded.length" class="no-print">
      <summary>{{ words.readToday(folded.map((c) => c.title.toLowerCase()).join(', ')) }}</summary>
      <ul class="plain">
        <li v-for="c in folded" :key="c.id">
          <strong>{{ c.title }}.</strong> {{ c.text }} <span class="soft">{{ words.ask(c.ask) }}</span>
        </li>
      </ul>
    </details>
  </aside>
</template>

<style scoped>
.cautions {
  background: var(--straw-wash);
  border-left: 6px solid var(--straw);
  border-radius: 4px;
  padding: 10px 14px;
  color: var(--ink);
}
.cautions .soft {
  color: var(--ink);
  font-style: italic;
}
li {
  margin-top: 6px;
}
.p-button,
details {
  margin-top: 10px;
}
summary {
  cursor: pointer;
  min-height: 44px;
  align-content: center;
}
</style>
