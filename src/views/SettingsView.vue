<script setup lang="ts">
/** Units, look, and the grower's data: out to a file, in from one, and what had to be set aside. */
import Button from 'primevue/button'
import { computed, ref, shallowRef } from 'vue'
import FileButton from '@/components/field/FileButton.vue'
import SwitchField from '@/components/field/SwitchField.vue'
import ProblemBox from '@/components/frame/ProblemBox.vue'
import ImportPreviewBox from '@/components/settings/ImportPreview.vue'
import SetAsideList from '@/components/settings/SetAsideList.vue'
import { saveFile } from '@/composables/saveFile'
import { useSaveAll } from '@/composables/useSaveAll'
import { bedsOf } from '@/model/garden/garden'
import type { ImportPreview } from '@/storage/exportFile'
import type { SetAside } from '@/storage/setAside'
import { useGarden } from '@/stores/garden'
import { fileProblemText, type Sentence } from '@/text/problems.en'
import { THEME_NAMES, UNIT_NAMES } from '@/text/settings'

const garden = useGarden()
const saveAll = useSaveAll()
const trouble = shallowRef<Sentence | null>(null)
// Shallow: what comes from the file goes into the store as it is, and a store cannot keep a reactive proxy.
const preview = shallowRef<(ImportPreview & { fileName: string }) | null>(null)
const said = ref('')
const counts = computed(
  () =>
    `${bedsOf(garden.records).length} beds, ${garden.jobs.length} jobs and ${garden.mixRecords.length} records`,
)

function read(text: string, fileName: string) {
  said.value = ''
  const result = garden.preview(text)
  preview.value = result.ok ? { ...result.preview, fileName } : null
  trouble.value = result.ok ? null : fileProblemText(result.problem)
}
function bringIn() {
  if (!preview.value) return
  const changes = [...preview.value.added, ...preview.value.changed]
  garden.run({ type: 'garden/import', changes: changes.map((c) => ({ key: c.key, after: c.after! })) })
  said.value = `${changes.length} brought in. Undo takes it back.`
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
        <SwitchField
          :model-value="garden.settings.units"
          :options="UNIT_NAMES"
          labelled-by="units-label"
          @update:model-value="garden.setSettings({ units: $event })"
        />
      </div>
      <div class="line">
        <span id="theme-label">Look</span>
        <SwitchField
          :model-value="garden.settings.theme"
          :options="THEME_NAMES"
          labelled-by="theme-label"
          @update:model-value="garden.setSettings({ theme: $event })"
        />
      </div>
    </section>

    <section class="card" aria-labelledby="place-title">
      <h2 id="place-title">Place</h2>
      <p class="soft">The climate, the water and the wind your pots stand in, and how often you can water.</p>
      <RouterLink :to="{ name: 'place', params: { garden: garden.name } }">Look at the place</RouterLink>
    </section>

    <section class="card data" aria-labelledby="data-title">
      <h2 id="data-title">Your data</h2>
      <p>
        {{ garden.name === 'demo' ? 'The demo garden' : 'Your garden' }}, {{ counts }}, is kept in this
        browser on this device and nowhere else. Save a file now and then: it is your backup, and the way to
        another device.
      </p>
      <div class="row">
        <Button label="Save everything to a file" icon="pi pi-download" @click="saveAll" />
        <FileButton
          label="Bring in from a file…"
          name="File to bring in"
          accept=".json,application/json"
          @file="read"
        />
      </div>
      <ProblemBox v-if="trouble" :sentence="trouble" />
      <ImportPreviewBox
        v-if="preview"
        :preview="preview"
        :file-name="preview.fileName"
        @take="bringIn"
        @leave="preview = null"
      />
      <p role="status">{{ said }}</p>
      <Button
        v-if="garden.name === 'demo'"
        label="Start the demo afresh"
        outlined
        icon="pi pi-replay"
        @click="afresh"
      />
    </section>

    <section v-if="garden.setAside.length" class="card" aria-labelledby="aside-title">
      <h2 id="aside-title">Set aside</h2>
      <p>These could not be used, or lost to a later edit. They are kept whole until you let them go.</p>
      <SetAsideList :items="garden.setAside" @save="saveAside" @again="tryAgain" @go="garden.letGo" />
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
.data > :deep(:is(.problem, .preview, [role='status'])) {
  margin-top: 14px;
}
</style>
