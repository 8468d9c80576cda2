<script setup lang="ts">
/** Units, look, and the grower's data: out to a file, in from one, and what had to be set aside. */
import Button from 'primevue/button'
import SelectButton from 'primevue/selectbutton'
import { computed, ref, shallowRef } from 'vue'
import ProblemBox from '@/components/ProblemBox.vue'
import { saveFile } from '@/composables/saveFile'
import { bedsOf } from '@/model/garden/garden'
import type { ImportPreview } from '@/storage/exportFile'
import type { SetAside } from '@/storage/setAside'
import { useGarden } from '@/stores/garden'
import { recordName } from '@/text/labels'
import { fileProblemText, unreadableText, type Sentence } from '@/text/problems.en'

const garden = useGarden()
const UNITS = [
  { value: 'metric', label: 'Metric' },
  { value: 'us', label: 'US' },
]
const THEMES = [
  { value: 'auto', label: 'As the device' },
  { value: 'light', label: 'Light' },
  { value: 'dark', label: 'Dark' },
  { value: 'contrast', label: 'Bright sun' },
]

const trouble = shallowRef<Sentence | null>(null)
// Shallow: what comes from the file goes into the store as it is, and a store cannot keep a reactive proxy.
const preview = shallowRef<(ImportPreview & { fileName: string }) | null>(null)
const said = ref('')
const picker = ref<HTMLInputElement | null>(null)
const counts = computed(
  () =>
    `${bedsOf(garden.records).length} beds, ${garden.jobs.length} jobs and ${garden.mixRecords.length} records`,
)
const changes = computed(() => (preview.value ? [...preview.value.added, ...preview.value.changed] : []))

const saveAll = () =>
  saveFile(
    `open-bed-${garden.name}-${new Date().toISOString().slice(0, 10)}.json`,
    garden.exportText(),
    'application/json',
  )

async function read(event: Event) {
  const input = event.target as HTMLInputElement
  const file = input.files?.[0]
  trouble.value = null
  preview.value = null
  said.value = ''
  if (!file) return
  const result = garden.preview(await file.text())
  if (result.ok) preview.value = { ...result.preview, fileName: file.name }
  else trouble.value = fileProblemText(result.problem)
  input.value = ''
}
function bringIn() {
  if (!preview.value) return
  garden.run({ type: 'garden/import', changes: changes.value.map((c) => ({ key: c.key, after: c.after! })) })
  said.value = `${changes.value.length} brought in. Undo takes it back.`
  preview.value = null
}
async function tryAgain(item: SetAside) {
  said.value = (await garden.tryAgain(item))
    ? 'It is back in use.'
    : 'It still cannot be read; it stays here.'
}
const saveAside = (item: SetAside) =>
  saveFile(`${item.key.replaceAll('/', '-')}.json`, JSON.stringify(item.raw, null, 1), 'application/json')
async function afresh() {
  await garden.startAfresh(async () => (await import('@/demo/demoGarden')).demoGarden())
  said.value = 'The demo is as new. Undo brings back what you did in it.'
}
</script>

<template>
  <div class="page narrow">
    <h1>Settings and data</h1>
    <section class="card" aria-labelledby="look-title">
      <h2 id="look-title">Units and look</h2>
      <div class="line">
        <span id="units-label">Units</span>
        <SelectButton
          :model-value="garden.settings.units"
          :options="UNITS"
          option-label="label"
          option-value="value"
          :allow-empty="false"
          aria-labelledby="units-label"
          @update:model-value="garden.setSettings({ units: $event })"
        />
      </div>
      <div class="line">
        <span id="theme-label">Look</span>
        <SelectButton
          :model-value="garden.settings.theme"
          :options="THEMES"
          option-label="label"
          option-value="value"
          :allow-empty="false"
          aria-labelledby="theme-label"
          @update:model-value="garden.setSettings({ theme: $event })"
        />
      </div>
    </section>

    <section class="card" aria-labelledby="place-title">
      <h2 id="place-title">Place</h2>
      <p class="soft">The climate, the water and the wind your pots stand in, and how often you can water.</p>
      <RouterLink :to="{ name: 'place', params: { garden: garden.name } }">Look at the place</RouterLink>
    </section>

    <section class="card" aria-labelledby="data-title">
      <h2 id="data-title">Your data</h2>
      <p>
        {{ garden.name === 'demo' ? 'The demo garden' : 'Your garden' }}, {{ counts }}, is kept in this
        browser on this device and nowhere else. Save a file now and then: it is your backup, and the way to
        another device.
      </p>
      <div class="row">
        <Button label="Save everything to a file" icon="pi pi-download" @click="saveAll" />
        <Button label="Bring in from a file…" icon="pi pi-upload" outlined @click="picker?.click()" />
        <input
          ref="picker"
          class="visually-hidden"
          type="file"
          accept=".json,application/json"
          aria-label="File to bring in"
          tabindex="-1"
          @change="read"
        />
      </div>
      <ProblemBox v-if="trouble" class="gap" :sentence="trouble" />
      <div v-if="preview" class="gap preview" role="region" aria-label="What the file would change">
        <h3>What “{{ preview.fileName }}” would change</h3>
        <p v-if="changes.length === 0">
          Nothing: all {{ preview.unchanged }} records are here already, just so.
        </p>
        <ul v-else class="plain">
          <li v-for="c in preview.added" :key="c.key"><b>New:</b> {{ recordName(c.key, c.after) }}</li>
          <li v-for="c in preview.changed" :key="c.key"><b>Replaced:</b> {{ recordName(c.key, c.after) }}</li>
        </ul>
        <p v-if="changes.length && preview.unchanged" class="soft">
          {{ preview.unchanged }} are the same already.
        </p>
        <ProblemBox
          v-if="preview.unreadable.length"
          :sentence="{
            why: `${preview.unreadable.length} in the file cannot be read and would be left out:`,
            fix: preview.unreadable.map(unreadableText).join(' '),
          }"
        />
        <div class="row gap">
          <Button v-if="changes.length" :label="`Bring in ${changes.length}`" @click="bringIn" />
          <Button label="Leave it" outlined @click="preview = null" />
        </div>
      </div>
      <p class="gap" role="status">{{ said }}</p>
      <template v-if="garden.name === 'demo'">
        <Button label="Start the demo afresh" outlined icon="pi pi-replay" @click="afresh" />
      </template>
    </section>

    <section v-if="garden.setAside.length" class="card" aria-labelledby="aside-title">
      <h2 id="aside-title">Set aside</h2>
      <p>These could not be used, or lost to a later edit. They are kept whole until you let them go.</p>
      <ul class="plain">
        <li v-for="item in garden.setAside" :key="item.id" class="aside">
          <span
            >{{ unreadableText(item.why) }}
            <small v-if="item.at">{{ item.at.slice(0, 16).replace('T', ' ') }}</small></span
          >
          <span class="row">
            <Button label="Download" size="small" outlined @click="saveAside(item)" />
            <Button label="Try again" size="small" outlined @click="tryAgain(item)" />
            <Button label="Let it go" size="small" text severity="danger" @click="garden.letGo(item)" />
          </span>
        </li>
      </ul>
    </section>
  </div>
</template>

<style scoped>
.narrow {
  max-width: 820px;
}
.card {
  margin-bottom: 16px;
}
.card h2 {
  margin-bottom: 10px;
}
.line {
  display: flex;
  align-items: center;
  gap: 16px;
  flex-wrap: wrap;
  margin-top: 8px;
}
.line > span:first-child {
  width: 4rem;
  font-weight: 600;
}
.gap {
  margin-top: 14px;
}
.preview {
  border: 1px solid var(--edge);
  border-radius: var(--round);
  padding: 14px;
}
.aside {
  display: flex;
  justify-content: space-between;
  gap: 12px;
  flex-wrap: wrap;
  padding: 10px 0;
  border-bottom: 1px solid var(--rule);
}
</style>
