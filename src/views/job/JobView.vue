<script setup lang="ts">
/** One job: its name, the stations of the work in order, and the station at hand. */
import { common } from '@/text/base/common'
import { jobView as says } from '@/text/views/jobView'
import { onKeyStroke } from '@vueuse/core'
import Button from 'primevue/button'
import InputText from 'primevue/inputtext'
import { computed, ref } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import DialogFrame from '@/components/frame/DialogFrame.vue'
import StationBar from '@/components/StationBar.vue'
import { useJob } from '@/composables/job/useJob'
import { useStations } from '@/composables/job/useStations'
import { isTyping } from '@/composables/page/isTyping'
import { LONGEST_NAME } from '@/model/garden/limits'
import { isOver, nextStation, STATIONS, stationOf } from '@/stations/stations'
import { jobTitle } from '@/text/base/titles'
import { jobAmountText } from '@/text/mix/recipes'

const { jobId } = defineProps<{ jobId: string }>()
const { garden, job, tables, units } = useJob(() => jobId)
const route = useRoute()
const router = useRouter()
const { to, go } = useStations(() => jobId)
const removing = ref(false)
// The frame of a job reads plain words, so that a change of the mix does not draw it anew.
const exists = computed(() => job.value !== undefined)
const name = computed(() => job.value?.name ?? '')
const title = computed(() => (job.value ? jobTitle(job.value) : ''))
const archived = computed(() => job.value?.archived ?? false)
const over = computed(() => (job.value ? isOver(job.value) : false))
const planted = computed(() => job.value?.plantedOn ?? null)
const amount = computed(() => (job.value ? jobAmountText(job.value, units.value, tables.value) : ''))

const next = computed(() => (job.value ? nextStation(job.value) : STATIONS[0]!))
const stations = computed(() => {
  const at = STATIONS.indexOf(next.value)
  return STATIONS.map(({ id, title }, i) => ({
    id,
    title,
    to: to(id),
    here: stationOf(route.name)?.id === id,
    done: i < at || (over.value && planted.value !== null),
    next: i === at && !over.value,
  }))
})
const at = computed(() => stations.value.findIndex((s) => s.here))
// A digit leads to a station, unless something else has the keyboard.
onKeyStroke(
  STATIONS.map((_, i) => String(i + 1)),
  (event) => {
    const isCommand = event.ctrlKey || event.metaKey || event.altKey
    if (isTyping(event) || isCommand || document.querySelector('[role=dialog]')) return
    void go(STATIONS[Number(event.key) - 1]!.id)
  },
)

async function remove() {
  removing.value = false
  garden.run({ type: 'job/remove', jobId })
  await router.push({ name: 'today', params: { garden: garden.name } })
}
</script>

<template>
  <div v-if="exists" class="job">
    <header class="head no-print">
      <div class="title">
        <h1 class="visually-hidden">{{ title }}: {{ route.meta.title }}</h1>
        <InputText
          class="name"
          :model-value="name"
          :placeholder="title"
          :aria-label="says.nameOfThisJob"
          :maxlength="LONGEST_NAME"
          @update:model-value="garden.run({ type: 'job/rename', jobId, name: $event ?? '' })"
        />
        <span class="amount"
          ><span v-if="at >= 0" class="step">{{ says.step(at + 1, stations.length) }}</span>{{ amount
          }}{{ archived ? says.putAway : '' }}</span
        >
      </div>
      <StationBar :stations="stations" />
      <Button
        icon="pi pi-inbox"
        text
        :aria-label="archived ? says.takeThisJobUpAgain : says.putThisJobAway"
        :title="archived ? says.takeItUpAgain : says.putItAwayKeptBut"
        :aria-pressed="archived"
        @click="garden.run({ type: 'job/archive', jobId, archived: !archived })"
      />
      <Button
        icon="pi pi-trash"
        text
        severity="danger"
        :aria-label="says.removeThisJob"
        :title="says.removeThisJob"
        @click="removing = true"
      />
    </header>
    <div data-begin tabindex="-1" class="begin"><RouterView /></div>
    <DialogFrame v-model:visible="removing" :header="says.removeThisJob2" width="28rem" writing>
      <p>{{ says.leavesTheListItsRecord(title) }}</p>
      <div class="row">
        <Button :label="says.removeIt" severity="danger" @click="remove" />
        <Button :label="says.keepIt" outlined autofocus @click="removing = false" />
      </div>
    </DialogFrame>
  </div>
  <div v-else class="page">
    <h1>{{ says.thisJobIsNotIn(garden.name === 'demo' ? says.theDemoGarden : says.yourGarden) }}</h1>
    <p>{{ says.itMayHaveBeenRemoved }}</p>
    <RouterLink :to="{ name: 'today', params: { garden: garden.name } }">{{ common.backToToday }}</RouterLink>
  </div>
</template>

<style scoped>
.head {
  display: flex;
  align-items: center;
  gap: 16px;
  padding: 8px 24px;
  border-bottom: 1px solid var(--rule);
  background: var(--paper);
}
.title {
  display: flex;
  align-items: baseline;
  gap: 14px;
  min-width: 0;
  flex: 1;
}
.name {
  font: 600 1.35rem var(--slab);
  border-color: transparent;
  background: transparent;
  padding: 4px 8px;
  margin-left: -8px;
  width: min(24rem, 100%);
}
.name:hover,
.name:focus {
  border-color: var(--edge);
  background: var(--sheet);
}
.amount {
  color: var(--ink-soft);
  white-space: nowrap;
}
.begin:focus {
  outline: none;
}
.step {
  display: none;
}
@media (max-width: 900px) {
  .step {
    display: inline;
  }
  .head {
    flex-wrap: wrap;
    padding: 4px 12px 6px;
    gap: 2px 8px;
  }
  .name {
    font-size: 1.15rem;
  }
  .title {
    flex-basis: 60%;
    flex-direction: column;
    align-items: stretch;
    gap: 0;
  }
  .amount {
    margin-top: -4px;
    font-size: 0.88rem;
  }
}
</style>
