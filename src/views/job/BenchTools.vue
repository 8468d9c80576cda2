<script setup lang="ts">
/** What can be done with a mix as a whole: found, compared, kept, begun from a school, shared, printed. */
import { useOnPhone } from '@/composables/page/useOnPhone'
import { common } from '@/text/base/common'
import { benchTools as words } from '@/text/views/benchTools'
import { vRoving } from '@/composables/page/vRoving'
import { useChoices } from '@/composables/shelf/useChoices'
import { useTables } from '@/composables/garden/useTables'
import { looseLitresOfPack } from '@/core/batch'
import { materialIn } from '@/core/data'
import { shelfEntry } from '@/model/garden/shelfEntry'
import { byPacks, type ByPacks, type PackCount } from '@/model/mix/byPacks'
import { isUnkept, recipeOf, versionOf } from '@/model/mix/versions'
import Button from 'primevue/button'
import { computed, defineAsyncComponent, nextTick, ref } from 'vue'
import ShareDialog from '@/components/bench/ShareDialog.vue'
import FoldBox from '@/components/frame/FoldBox.vue'
import StarterDialog from '@/components/bench/StarterDialog.vue'
import VersionsDialog from '@/components/bench/VersionsDialog.vue'
import { ownDressingsOf, ownMaterialsOf } from '@/model/garden/garden'
import type { Job, Recipe, Version } from '@/model/garden/schemas'
import { starterRecipe, type Starter } from '@/model/mix/starterMixes'
import { useGarden } from '@/stores/garden'
import { packText } from '@/text/base/labels'
import { jobTitle } from '@/text/base/titles'
import { volumeText } from '@/text/base/units'

const PacksDialog = defineAsyncComponent(() => import('@/components/bench/PacksDialog.vue'))

const { job } = defineProps<{ job: Job }>()
const emit = defineEmits<{
  put: [recipe: Recipe, what: string, versionId?: string | null, amount?: number]
}>()
const garden = useGarden()
const tables = useTables(garden)
/** A phone has room for the first few. */
const onPhone = useOnPhone()
const units = computed(() => garden.settings.units)
const dialog = ref<'versions' | 'starters' | 'share' | 'packs' | null>(null)
const isOpen = (which: NonNullable<typeof dialog.value>) =>
  computed({ get: () => dialog.value === which, set: (open) => (dialog.value = open ? which : null) })
const [versionsOpen, startersOpen, shareOpen] = [isOpen('versions'), isOpen('starters'), isOpen('share')]
const packsOpen = isOpen('packs')
const kept = computed(() => job.parts.length === 0 || !isUnkept(job))
const hasMix = computed(() => job.parts.length > 0)
/** What goes with a recipe that is shared: asked for when it is. */
const own = computed(() => ({
  materials: shareOpen.value ? ownMaterialsOf(garden.records) : [],
  dressings: shareOpen.value ? ownDressingsOf(garden.records) : [],
}))
const title = computed(() => jobTitle(job))

const keep = (name: string) =>
  garden.run({
    type: 'version/keep',
    jobId: job.id,
    version: versionOf(job, crypto.randomUUID(), new Date().toISOString(), name),
  })
function back(version: Version) {
  emit('put', version, words.goingOnFrom(version.name), version.id)
  dialog.value = null
}
const begin = (starter: Starter) => emit('put', starterRecipe(starter), common.beginningWith(starter.name))
const { materials } = useChoices(garden)
const inMix = computed(() => job.parts.map((p) => p.materialId).filter((id) => materialIn(tables.value, id)))
const workPacks = (packs: readonly PackCount[]) => byPacks(garden.records, packs, job.plan.bucket)
function packOf(materialId: string) {
  const material = materialIn(tables.value, materialId)
  if (!material) return ''
  const { pack } = shelfEntry(garden.records, material)
  return words.givesLoose(
    packText(pack, units.value),
    volumeText(looseLitresOfPack(material, pack), units.value),
  )
}
/** The bench keeps what was there; what the packs make is the amount of the job. */
const makeByPacks = ({ parts, litres }: ByPacks) =>
  emit('put', { ...recipeOf(job), parts, mixes: [] }, words.aMixByPacks, undefined, litres)
async function print() {
  await nextTick()
  window.print()
}
</script>

<template>
  <nav v-roving class="tools no-print" :aria-label="words.toolsOfTheBench">
    <RouterLink :to="{ name: 'finder', params: { garden: garden.name, jobId: job.id } }"
      ><i class="pi pi-search" aria-hidden="true" />{{ common.findAMix }}</RouterLink
    >
    <component
      :is="onPhone ? FoldBox : 'span'"
      id="tools-more"
      class="more"
      :title="onPhone ? words.moreTools : undefined"
    >
      <RouterLink :to="{ name: 'compare', params: { garden: garden.name, jobId: job.id } }"
        ><i class="pi pi-clone" aria-hidden="true" />{{ words.compare }}</RouterLink
      >
      <RouterLink :to="{ name: 'water', params: { garden: garden.name, jobId: job.id } }"
        ><i class="pi pi-cloud" aria-hidden="true" />{{ common.waterIt }}</RouterLink
      >
      <Button
        :label="common.mixesToBeginFrom"
        icon="pi pi-book"
        text
        size="small"
        @click="dialog = 'starters'"
      />
      <Button :label="words.byPacks" icon="pi pi-box" text size="small" @click="dialog = 'packs'" />
      <Button
        :label="job.versions.length ? words.versions(job.versions.length) : words.versions2"
        icon="pi pi-history"
        text
        size="small"
        @click="dialog = 'versions'"
      />
      <Button
        :label="words.share"
        icon="pi pi-share-alt"
        text
        size="small"
        :disabled="!hasMix"
        @click="dialog = 'share'"
      />
      <RouterLink :to="{ name: 'recipe', params: { garden: garden.name } }"
        ><i class="pi pi-inbox" aria-hidden="true" />{{ words.openARecipe }}</RouterLink
      >
    </component>
    <StarterDialog v-model:visible="startersOpen" :units="units" @begin="begin" />
    <VersionsDialog
      v-model:visible="versionsOpen"
      :versions="job.versions"
      :current="job.versionId"
      :kept="kept"
      :units="units"
      @keep="keep"
      @back="back"
      @edit="(versionId, change) => garden.run({ type: 'version/edit', jobId: job.id, versionId, change })"
      @remove="garden.run({ type: 'version/remove', jobId: job.id, versionId: $event })"
    />
    <PacksDialog
      v-if="dialog === 'packs'"
      v-model:visible="packsOpen"
      :materials="materials"
      :in-mix="inMix"
      :pack-of="packOf"
      :work="workPacks"
      :units="units"
      @make="makeByPacks"
    />
    <ShareDialog v-model:visible="shareOpen" :recipe="job" :title="title" :own="own" @print="print" />
  </nav>
</template>

<style scoped>
.tools {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 2px 10px;
  margin: -4px 0 -10px;
}
.tools a {
  display: inline-flex;
  align-items: center;
  gap: 8px;
  min-height: 44px;
  padding: 0 10px;
  font-weight: 600;
  font-size: 0.9rem;
  color: var(--clay);
  text-decoration: none;
  white-space: nowrap;
}
.tools :deep(.p-button) {
  white-space: nowrap;
  flex: none;
}
.tools a:hover {
  text-decoration: underline;
}
.more {
  display: contents;
}
.more:is(details) {
  display: block;
  flex: 1;
  padding-inline: 10px;
  border-bottom: 0;
}
</style>
