<script setup lang="ts">
/** Units, look, and the grower's data: out to a file, in from one, and what had to be set aside. */
import { atOnce } from '@/text/base/atOnce'
import { common } from '@/text/base/common'
import { settingsView as words } from '@/text/views/settingsView'
import Button from 'primevue/button'
import ProgressBar from 'primevue/progressbar'
import { computed, ref } from 'vue'
import CheckField from '@/components/field/CheckField.vue'
import FileButton from '@/components/field/FileButton.vue'
import TextField from '@/components/field/TextField.vue'
import SwitchField from '@/components/field/SwitchField.vue'
import ProblemBox from '@/components/frame/ProblemBox.vue'
import ImportPreviewBox from '@/components/settings/ImportPreview.vue'
import SetAsideList from '@/components/settings/SetAsideList.vue'
import { saveFile } from '@/composables/page/saveFile'
import { installOffer } from '@/composables/page/deviceOffer'
import { useEveryFold } from '@/composables/page/useFold'
import { useOffline } from '@/composables/page/useOffline'
import { useSaveAll } from '@/composables/garden/useSaveAll'
import { useGardenFile } from '@/composables/garden/useGardenFile'
import { bedsOf } from '@/model/garden/garden'
import type { SetAside } from '@/storage/setAside'
import { useGarden } from '@/stores/garden'
import { counted } from '@/text/base/counted'
import { KEPT_TEXTS, THEME_NAMES, UNIT_NAMES } from '@/text/base/settings'

const garden = useGarden()
const everyFold = useEveryFold()
const saveAll = useSaveAll()
/** Tables for a spreadsheet or a statistician; the garden file above is the backup. */
async function savePackage() {
  const { dataPackage } = await import('@/model/sheets/dataPackage')
  saveFile(words.openBedDataZip, dataPackage(garden.records, new Date().toISOString()), 'application/zip')
}
const { kept } = useOffline()
/** The browser asks; the answer stays between it and the grower. */
async function install() {
  const offer = installOffer.value
  installOffer.value = null
  await offer?.prompt()
}
const said = ref('')
const { reading, read, preview, trouble, bringIn: bringInRead } = useGardenFile(garden)
const counts = computed(() =>
  words.and(
    counted(bedsOf(garden.records).length, 'bed'),
    counted(garden.jobs.length, 'job'),
    counted(garden.mixRecords.length, 'record'),
  ),
)

function look(file: File) {
  said.value = ''
  reading.start(file)
}
function bringIn() {
  const brought = bringInRead()
  if (brought === 'stale') said.value = words.theGardenHasChangedSince
  else if (brought !== null) said.value = words.broughtInUndoTakesIt(brought)
}
async function tryAgain(item: SetAside) {
  said.value = (await garden.tryAgain(item)) ? words.itIsBackInUse : 'It still cannot be read; it stays here.'
}
const saveAside = (item: SetAside) =>
  saveFile(`${item.key.replaceAll('/', '-')}.json`, JSON.stringify(item.raw, null, 1), 'application/json')
async function afresh() {
  await garden.startAfresh()
  said.value = words.theDemoIsAsNew
}
</script>

<template>
  <div class="page narrow">
    <h1>{{ words.settingsAndData }}</h1>
    <section class="card" aria-labelledby="look-title">
      <h2 id="look-title">{{ words.unitsAndLook }}</h2>
      <div class="line">
        <span id="units-label">{{ words.units }}</span>
        <SwitchField
          :model-value="garden.settings.units"
          :options="UNIT_NAMES"
          labelled-by="units-label"
          @update:model-value="garden.run({ type: 'units/set', units: $event })"
        />
      </div>
      <div class="line">
        <span id="theme-label">{{ words.look }}</span>
        <SwitchField
          :model-value="garden.settings.theme"
          :options="THEME_NAMES"
          labelled-by="theme-label"
          @update:model-value="garden.setSettings({ theme: $event })"
        />
      </div>
      <TextField
        class="short"
        :model-value="garden.settings.currency"
        :label="words.currency"
        :hint="words.currencyHint"
        :most="4"
        @update:model-value="garden.setSettings({ currency: $event.trim() })"
      />
      <CheckField v-model="everyFold" :label="words.openEveryHeading" />
    </section>

    <section class="card" aria-labelledby="place-title">
      <h2 id="place-title">{{ common.place }}</h2>
      <p class="soft">{{ words.theClimateTheWaterAnd }}</p>
      <RouterLink :to="{ name: 'place', params: { garden: garden.name } }">{{
        words.lookAtThePlace
      }}</RouterLink>
    </section>

    <section v-if="garden.name === 'my'" class="card" aria-labelledby="device-title">
      <h2 id="device-title">{{ words.onThisDevice }}</h2>
      <p>{{ KEPT_TEXTS[kept] }}</p>
      <Button
        v-if="installOffer"
        :label="words.installOpenBed"
        icon="pi pi-download"
        outlined
        @click="install"
      />
    </section>

    <section class="card data" aria-labelledby="data-title">
      <h2 id="data-title">{{ words.yourData }}</h2>
      <p>
        {{
          words.isKeptInThisBrowser(garden.name === 'demo' ? common.theDemoGarden : common.yourGarden, counts)
        }}
      </p>
      <div class="row">
        <Button :label="atOnce.saveEverythingToAFile" icon="pi pi-download" @click="saveAll" />
        <Button
          :label="words.saveADataPackage"
          icon="pi pi-table"
          outlined
          :title="words.bedsBatchesReadingsAndHarvests"
          @click="savePackage"
        />
        <FileButton
          :label="words.bringInFromAFile"
          name="File to bring in"
          accept=".json,application/json"
          :most="200"
          @file="look"
        />
      </div>
      <div v-if="reading.status.value === 'running'" class="row reading">
        <ProgressBar
          :value="Math.round((reading.progress.value ?? 0) * 100)"
          :aria-label="words.recordsChecked"
        />
        <Button :label="common.stop" outlined size="small" @click="reading.cancel" />
      </div>
      <ProblemBox v-if="trouble" :sentence="trouble" />
      <ImportPreviewBox
        v-if="preview"
        :preview="preview"
        :file-name="read!.of.name"
        @take="bringIn"
        @leave="reading.cancel"
      />
      <p role="status">{{ said }}</p>
      <Button
        v-if="garden.name === 'demo'"
        :label="words.startTheDemoAfresh"
        outlined
        icon="pi pi-replay"
        @click="afresh"
      />
    </section>

    <section v-if="garden.setAside.length" class="card" aria-labelledby="aside-title">
      <h2 id="aside-title">{{ words.setAside }}</h2>
      <p>{{ words.theseCouldNotBeUsed }}</p>
      <SetAsideList :items="garden.setAside" @save="saveAside" @again="tryAgain" @go="garden.letGo" />
    </section>
  </div>
</template>

<style scoped>
.reading {
  margin-top: 14px;
}
.reading > :first-child {
  flex: 1;
}
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
