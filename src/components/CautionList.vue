<script setup lang="ts">
/**
 * Short cautions where the hand is about to do the thing: what to do is in sight, why and who to ask one press away,
 * and
 * all of it on paper. Read once a day they fold away, but for those that can do lasting harm.
 */
import { cautionList as words } from '@/text/components/shared'
import Button from 'primevue/button'
import { computed } from 'vue'
import { useEveryFold } from '@/composables/page/useFold'
import { isNeverOff, ruleOf, type Caution } from '@/text/base/cautions'

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
const isShown = (c: Caution) => !read?.has(c.id) || isNeverOff(c)
const shown = computed(() => cautions.filter(isShown).map((c) => ({ ...c, ...ruleOf(c) })))
const folded = computed(() => cautions.filter((c) => !isShown(c)))
const everyFold = useEveryFold()
const isUnread = computed(() => read !== null && cautions.some((c) => !read.has(c.id)))
</script>

<template>
  <aside v-if="cautions.length" class="cautions" :aria-label="heading">
    <h3><span aria-hidden="true">⚠ </span>{{ heading }}</h3>
    <ul class="plain">
      <li v-for="c in shown" :key="c.id">
        <strong>{{ c.title }}.</strong> {{ c.rule }}
        <span class="print-only">{{ c.rest }} {{ words.ask(c.ask) }}</span>
      </li>
    </ul>
    <details v-if="shown.length" class="no-print" :open="everyFold">
      <summary :aria-label="`${words.whyAndWhoToAsk}: ${heading}`">{{ words.whyAndWhoToAsk }}</summary>
      <ul class="plain">
        <li v-for="c in shown" :key="c.id">
          <strong>{{ c.title }}.</strong> {{ c.rest }}
          <span class="soft">{{ words.ask(c.ask) }}</span>
        </li>
      </ul>
    </details>
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
.cautions > details {
  margin-top: 10px;
}
summary {
  cursor: pointer;
  min-height: 44px;
  align-content: center;
}
</style>
