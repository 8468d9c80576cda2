<script setup lang="ts">
/** What the numbers say, in words; each can be answered with a reason and is then kept out of the way. */
import { common } from '@/text/base/common'
import { judgementList as says } from '@/text/components/bench'
import { LONGEST_REASON } from '@/model/garden/limits'
import Button from 'primevue/button'
import InputText from 'primevue/inputtext'
import { computed, ref, type VNode } from 'vue'
import { judgementKey, type Judgement } from '@/core/judgement'
import { isOfWater, judgementText } from '@/text/mix/judgements'
import type { UnitSystem } from '@/text/base/units'
import type { RouteLocationRaw } from 'vue-router'

const { judgements, answered, units, water } = defineProps<{
  judgements: readonly Judgement[]
  answered: readonly { code: string; reason: string }[]
  units: UnitSystem
  /** Where ways of treating the water are compared. */
  water: RouteLocationRaw
}>()
const emit = defineEmits<{ answer: [code: string, reason: string | null] }>()

const MARKS = {
  alarm: { mark: '!!', word: 'Grave' },
  warn: { mark: '!', word: says.watchThis },
  note: { mark: 'i', word: says.toKnow },
}
const rows = computed(() =>
  judgements.map((j) => {
    const key = judgementKey(j)
    return {
      key,
      level: j.level,
      ...judgementText(j, units),
      ofWater: isOfWater(j),
      reason: answered.find((a) => a.code === key)?.reason,
    }
  }),
)
const open = computed(() => rows.value.filter((r) => r.reason === undefined))
const shut = computed(() => rows.value.filter((r) => r.reason !== undefined))
/** The first of them are in sight, and all that is grave; the rest is folded. */
const IN_SIGHT = 3
const all = ref(false)
const first = computed(() => Math.max(IN_SIGHT, open.value.filter((r) => r.level === 'alarm').length))
const inSight = computed(() => (all.value ? open.value : open.value.slice(0, first.value)))
const answering = ref<string | null>(null)
const reason = ref('')
function begin(key: string) {
  answering.value = key
  reason.value = ''
}
/** At once, so that no letter typed goes astray. */
const focusOn = ({ el }: VNode) => (el as HTMLElement).focus()
function keep(key: string) {
  emit('answer', key, reason.value.trim() || says.noReasonGiven)
  answering.value = null
}
</script>

<template>
  <section v-if="rows.length" class="judgements" aria-labelledby="judged-title">
    <h2 id="judged-title">{{ says.whatStandsOut }}</h2>
    <ul class="plain">
      <li v-for="r in inSight" :key="r.key" :class="r.level">
        <span class="mark" aria-hidden="true">{{ MARKS[r.level].mark }}</span>
        <div>
          <p>
            <span class="visually-hidden">{{ MARKS[r.level].word }}: </span><strong>{{ r.says }}</strong>
            {{ r.does }}
            <RouterLink v-if="r.ofWater" :to="water">{{ says.compareWater }}</RouterLink>
          </p>
          <small>{{ says.by(r.source) }}</small>
          <form v-if="answering === r.key" class="row" @submit.prevent="keep(r.key)">
            <InputText
              v-model="reason"
              :maxlength="LONGEST_REASON"
              :aria-label="says.whyItMayStand(r.says)"
              :placeholder="says.whyItMayStand2"
              @keydown.escape.stop="answering = null"
              @vue:mounted="focusOn"
            />
            <Button type="submit" :label="common.keep" size="small" />
          </form>
          <Button
            v-else
            :label="says.iKnowBecause"
            text
            size="small"
            :aria-label="says.iKnowBecause2(r.says)"
            @click="begin(r.key)"
          />
        </div>
      </li>
    </ul>
    <Button
      v-if="open.length > first"
      :label="all ? says.fewer : says.more(open.length - first)"
      :aria-expanded="all"
      text
      size="small"
      @click="all = !all"
    />
    <details v-if="shut.length">
      <summary>{{ says.answered(shut.length) }}</summary>
      <ul class="plain">
        <li v-for="r in shut" :key="r.key">
          <div>
            <p>{{ r.says }}</p>
            <small>{{ says.you(r.reason ?? '') }}</small>
            <Button :label="says.sayItAgain" text size="small" @click="emit('answer', r.key, null)" />
          </div>
        </li>
      </ul>
    </details>
  </section>
</template>

<style scoped>
.judgements {
  margin-top: 14px;
}
li {
  display: flex;
  gap: 10px;
  padding: 8px 0;
  border-bottom: 1px solid var(--rule);
  font-size: 0.95rem;
}
li p {
  margin: 0;
}
.mark {
  flex: none;
  width: 26px;
  height: 26px;
  display: grid;
  place-items: center;
  border-radius: 50%;
  font-weight: 700;
  border: 2px solid currentcolor;
}
.alarm .mark {
  color: var(--alarm);
}
.warn .mark {
  color: var(--straw);
}
.note .mark {
  color: var(--ink-soft);
}
summary {
  cursor: pointer;
  color: var(--clay);
  padding: 6px 0;
}
form {
  margin-top: 6px;
}
</style>
