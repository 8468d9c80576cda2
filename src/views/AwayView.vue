<script setup lang="ts">
/** Days away: what each bed needs meanwhile, what would help, and a sheet for who waters. */
import { awayView as words } from '@/text/views/awayView'
import { addDays } from 'date-fns'
import Button from 'primevue/button'
import { computed, ref } from 'vue'
import TextField from '@/components/field/TextField.vue'
import FoldBox from '@/components/frame/FoldBox.vue'
import LinkToCopy from '@/components/frame/LinkToCopy.vue'
import ProblemBox from '@/components/frame/ProblemBox.vue'
import AwaySheetList from '@/components/water/AwaySheetList.vue'
import { useAway } from '@/composables/water/useAway'
import { daysOf, LONGEST_STAY, type Stay } from '@/model/water/away'
import { awayFragment } from '@/model/water/awaySheet'
import { isOver } from '@/stations/stations'
import { useGarden } from '@/stores/garden'
import { isDay, isoDay } from '@/text/base/dates'
import { allOf } from '@/text/base/labels'
import { bedTitle, jobTitle } from '@/text/base/titles'
import { failureText } from '@/text/make/tasks'
import {
  awayText,
  helpsText,
  sheetNotes,
  sheetTitle,
  stayText,
  weighsText,
  wickText,
} from '@/text/water/away'

const garden = useGarden()
const units = computed(() => garden.settings.units)
/** A week from tomorrow, until other days are chosen. */
const WEEK = 7
const from = ref(isoDay(addDays(new Date(), 1)))
const to = ref(isoDay(addDays(new Date(), 1 + WEEK)))
const trouble = computed(() => {
  if (!isDay(from.value) || !isDay(to.value)) return words.notADay
  const days = daysOf({ from: from.value, to: to.value })
  if (days < 1) return words.endsFirst
  return days > LONGEST_STAY ? words.tooLong(stayText(LONGEST_STAY)) : ''
})
const stay = computed<Stay | null>(() => (trouble.value ? null : { from: from.value, to: to.value }))
const { place, rows, next, failure, again } = useAway(
  garden,
  () => garden.jobs.filter((job) => !isOver(job)),
  stay,
)

const nameOf = ({ job, fill }: (typeof rows.value)[number]) => `${bedTitle(fill.spec)}: ${jobTitle(job)}`
const growing = computed(() =>
  rows.value.flatMap((row) => {
    const { answer, fill } = row
    if (!answer) return []
    return [
      {
        id: fill.id,
        name: nameOf(row),
        needs: answer.needs.needs,
        does: awayText(answer, fill.count, units.value),
        weighs: weighsText(answer, units.value),
        helps: [...helpsText(answer, units.value), wickText(answer, units.value)].filter(Boolean),
      },
    ]
  }),
)
/** Beds in which nothing grows then, or that cannot be worked out. */
const bare = computed(() => allOf(rows.value.filter((r) => r.answer === null).map(nameOf)))
const summary = computed(() => {
  const of = (needs: string) => growing.value.filter((r) => r.needs === needs).length
  return words.summary(of('water'), of('look'), of('nothing'))
})
const sheet = computed(() => ({
  title: stay.value ? sheetTitle(stay.value.from, stay.value.to) : '',
  beds: growing.value.map((r) => ({ name: r.name, does: [r.does, r.weighs].filter(Boolean) })),
  notes: sheetNotes(),
}))
const link = computed(() => `${location.origin}/my/sheet#${awayFragment(sheet.value)}`)
const print = () => window.print()
</script>

<template>
  <div class="page">
    <h1 class="no-print">{{ words.title }}</h1>
    <p v-if="!place">
      {{ words.noPlace }}
      <RouterLink :to="{ name: 'place', params: { garden: garden.name } }">{{ words.toPlace }}</RouterLink>
    </p>
    <p v-else-if="rows.length === 0">{{ words.nothingPlanted }}</p>
    <template v-else>
      <div class="row days no-print">
        <TextField v-model="from" type="date" :label="words.from" />
        <TextField v-model="to" type="date" :label="words.to" />
      </div>
      <ProblemBox v-if="trouble" :sentence="{ why: trouble, fix: words.checkDays }" />
      <template v-else>
        <ProblemBox v-if="failure" :sentence="failureText(failure)">
          <Button :label="words.tryAgain" outlined @click="again()" />
        </ProblemBox>
        <p class="no-print" role="status">
          {{ next ? words.lookingAt(nameOf({ ...next, answer: undefined })) : summary }}
        </p>
        <ul class="plain no-print">
          <li v-for="r in growing" :key="r.id" class="bed" :class="r.needs">
            <h2>{{ r.name }}</h2>
            <p class="does">{{ r.does }}</p>
            <p v-if="r.weighs" class="soft">{{ r.weighs }}</p>
            <details v-if="r.helps.length">
              <summary>{{ words.helps }}</summary>
              <ul>
                <li v-for="h in r.helps" :key="h">{{ h }}</li>
              </ul>
            </details>
          </li>
        </ul>
        <p v-if="bare" class="soft no-print">{{ words.bare(bare) }}</p>
        <FoldBox v-if="!next" id="away-sheet" class="no-print" :title="words.sheet" :says="words.sheetSays">
          <Button :label="words.print" icon="pi pi-print" outlined @click="print" />
          <LinkToCopy :link="link" :label="words.link" />
          <p class="soft">{{ words.linkSays }}</p>
        </FoldBox>
        <div class="print-only">
          <AwaySheetList :sheet="sheet" />
        </div>
      </template>
    </template>
  </div>
</template>

<style scoped>
.days {
  gap: 12px;
  margin-bottom: 10px;
}
.bed {
  padding: 10px 0 12px 12px;
  border-bottom: 1px solid var(--rule);
  border-left: 5px solid var(--leaf);
}
.bed.look {
  border-left-color: var(--straw);
}
.bed.water {
  border-left-color: var(--water);
}
.bed h2 {
  font-size: 1.05rem;
  margin: 0 0 4px;
}
.bed p {
  margin: 0 0 4px;
}
.does {
  font-size: 1.1rem;
}
summary {
  min-height: 44px;
  align-content: center;
}
</style>
