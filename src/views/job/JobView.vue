<script setup lang="ts">
/** One job: its name, the stations of the work in order, and the station at hand. */
import { mixNeededFor } from '@/model/garden/mixNeededFor'
import Button from 'primevue/button'
import Dialog from 'primevue/dialog'
import InputText from 'primevue/inputtext'
import { computed, ref } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { useJob } from '@/composables/useJob'
import { isOver, nextStation, STATIONS, type Station } from '@/model/stations'
import { jobTitle, STATION_NAMES } from '@/text/labels'
import { volumeText } from '@/text/units'

const { jobId } = defineProps<{ jobId: string }>()
const { garden, job, units } = useJob(() => jobId)
const route = useRoute()
const router = useRouter()
const removing = ref(false)
// The frame of a job reads plain words, so that a change of the mix does not draw it anew.
const exists = computed(() => job.value !== undefined && job.value !== null)
const name = computed(() => job.value?.name ?? '')
const title = computed(() => (job.value ? jobTitle(job.value) : ''))
const archived = computed(() => job.value?.archived ?? false)
const over = computed(() => (job.value ? isOver(job.value) : false))
const planted = computed(() => job.value?.plantedOn ?? null)

/** Pages that belong to a station: writing down is the last of making. */
const WITHIN: Record<string, Station> = { record: 'make', finder: 'mix', compare: 'mix' }
const next = computed(() => (job.value ? nextStation(job.value) : 'fill'))
const stations = computed(() => {
  const at = STATIONS.indexOf(next.value)
  return STATIONS.map((station, i) => ({
    station,
    here: route.name === station || WITHIN[String(route.name)] === station,
    done: i < at || (over.value && planted.value !== null),
    next: i === at && !over.value,
  }))
})
const amount = computed(() => {
  const each = (job.value?.fills ?? []).map((f) => ({ count: f.count, plan: mixNeededFor(f) }))
  if (each.some(({ plan }) => !plan.ok)) return ''
  const net = each.reduce((sum, { count, plan }) => sum + (plan.ok ? plan.value.net * count : 0), 0)
  const one = each[0]
  return each.length === 1 && one && one.count > 1 && one.plan.ok
    ? `${one.count} × ${volumeText(one.plan.value.net, units.value)} of mix`
    : `${volumeText(net, units.value)} of mix`
})

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
          aria-label="Name of this job"
          maxlength="120"
          @update:model-value="garden.run({ type: 'job/rename', jobId, name: $event ?? '' })"
        />
        <span class="amount">{{ amount }}{{ archived ? ', put away' : '' }}</span>
      </div>
      <nav class="stations" aria-label="Stations of this job">
        <RouterLink
          v-for="s in stations"
          :key="s.station"
          :to="{ name: s.station, params: { garden: garden.name, jobId } }"
          :class="{ here: s.here, done: s.done, next: s.next }"
          :aria-current="s.here ? 'step' : undefined"
        >
          <span aria-hidden="true" class="mark">{{ s.done ? '✓' : s.next ? '●' : '○' }}</span>{{
            STATION_NAMES[s.station]
          }}<span class="visually-hidden">{{ s.done ? ', done' : s.next ? ', next' : '' }}</span>
        </RouterLink>
      </nav>
      <Button
        icon="pi pi-inbox"
        text
        :aria-label="archived ? 'Take this job up again' : 'Put this job away'"
        :title="archived ? 'Take it up again' : 'Put it away: kept, but not in hand'"
        :aria-pressed="archived"
        @click="garden.run({ type: 'job/archive', jobId, archived: !archived })"
      />
      <Button
        icon="pi pi-trash"
        text
        severity="danger"
        aria-label="Remove this job"
        title="Remove this job"
        @click="removing = true"
      />
    </header>
    <RouterView />
    <Dialog v-model:visible="removing" modal header="Remove this job?" :style="{ width: 'min(28rem, 94vw)' }">
      <p>“{{ title }}” leaves the list. Its record, if there is one, stays. Undo brings the job back.</p>
      <div class="row">
        <Button label="Remove it" severity="danger" @click="remove" />
        <Button label="Keep it" outlined autofocus @click="removing = false" />
      </div>
    </Dialog>
  </div>
  <div v-else class="page">
    <h1>This job is not in {{ garden.name === 'demo' ? 'the demo garden' : 'your garden' }}</h1>
    <p>It may have been removed: undo brings it back. It may also belong to the other garden.</p>
    <RouterLink :to="{ name: 'today', params: { garden: garden.name } }">Back to Today</RouterLink>
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
.stations {
  display: flex;
  gap: 4px;
}
.stations a {
  display: flex;
  align-items: center;
  gap: 6px;
  padding: 7px 13px;
  color: var(--ink);
  text-decoration: none;
  border-radius: 99px;
  border: 1.5px solid transparent;
  white-space: nowrap;
}
.stations a:hover {
  border-color: var(--clay);
}
.stations .here {
  background: var(--clay);
  color: var(--clay-ink);
  font-weight: 600;
}
.stations .next:not(.here) {
  border-color: var(--clay);
}
.mark {
  font-size: 0.85em;
}
@media (max-width: 900px) {
  .head {
    flex-wrap: wrap;
    padding: 4px 12px 6px;
    gap: 2px 8px;
  }
  .name {
    font-size: 1.15rem;
  }
  .title {
    flex-basis: 70%;
    flex-direction: column;
    align-items: stretch;
    gap: 0;
  }
  .amount {
    margin-top: -4px;
  }
  .amount {
    font-size: 0.88rem;
  }
  .stations {
    order: 3;
    width: 100%;
    overflow-x: auto;
  }
  .stations a {
    padding: 10px 10px;
  }
  .mark {
    display: none;
  }
}
</style>
