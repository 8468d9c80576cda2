<script setup lang="ts">
/** Everything that goes into a mix: materials, feeds and limes, bagged mixes; the grower's own first. */
import { common } from '@/text/base/common'
import { shelfView as words } from '@/text/views/shelfView'
import { useTables } from '@/composables/garden/useTables'
import Button from 'primevue/button'
import { computed, ref } from 'vue'
import BagDialog from '@/components/bench/BagDialog.vue'
import SwitchField from '@/components/field/SwitchField.vue'
import TextField from '@/components/field/TextField.vue'
import BaggedMixes from '@/components/shelf/BaggedMixes.vue'
import OwnDressingDialog from '@/components/shelf/OwnDressingDialog.vue'
import OwnMaterialDialog from '@/components/shelf/OwnMaterialDialog.vue'
import { useBags } from '@/composables/shelf/useBags'
import { useOwn } from '@/composables/shelf/useOwn'
import { useSlashToSearch } from '@/composables/page/useSlashToSearch'
import { bagsOf, ownDressingsOf, ownMaterialsOf } from '@/model/garden/garden'
import { describeBag } from '@/model/mix/bags'
import { useGarden } from '@/stores/garden'
import { problemText } from '@/text/base/problems.en'
import { bagText } from '@/text/mix/recipes'
import ShelfDressings from './ShelfDressings.vue'
import ShelfMaterials from './ShelfMaterials.vue'

const KINDS = [
  { value: 'materials', label: 'Materials' },
  { value: 'dressings', label: words.feedsAndLimes },
  { value: 'bags', label: common.baggedMixes },
] as const

const garden = useGarden()
const units = computed(() => garden.settings.units)
const kind = ref<(typeof KINDS)[number]['value']>('materials')
const search = ref('')
const searchBox = ref<InstanceType<typeof TextField> | null>(null)
useSlashToSearch(searchBox)
const { reading, listed, materials, dressings, describe, keep, remove, close } = useBags()
const own = useOwn()
const tables = useTables(garden)
const materialListed = computed(() =>
  ownMaterialsOf(garden.records).some((m) => m.id === own.material.value?.id),
)
const dressingListed = computed(() =>
  ownDressingsOf(garden.records).some((d) => d.id === own.dressing.value?.id),
)
const bags = computed(() =>
  bagsOf(garden.records).map((bag) => {
    const found = describeBag(bag, 'mix:shown', tables.value)
    return {
      bag,
      name: bag.name.trim() || common.baggedMix,
      says: found.ok ? bagText(found.value.mix, units.value) : problemText(found.problem, units.value).why,
    }
  }),
)
</script>

<template>
  <div class="page">
    <h1>{{ words.shelf }}</h1>
    <p class="soft">
      <RouterLink :to="{ name: 'tests', params: { garden: garden.name } }">{{
        words.testAMaterial
      }}</RouterLink>
      ·
      <RouterLink :to="{ name: 'learned', params: { garden: garden.name } }">{{
        common.whatReadingsTaught
      }}</RouterLink>
    </p>
    <div class="row tools">
      <SwitchField v-model="kind" :options="KINDS" :label="words.whatIsShown" />
      <TextField
        v-if="kind !== 'bags'"
        ref="searchBox"
        v-model="search"
        class="search"
        :label="words.searchTheShelf"
        hide-label
        :placeholder="words.searchTheShelf2"
      />
      <Button
        v-if="kind === 'materials'"
        :label="common.aMaterialOfYourOwn"
        icon="pi pi-plus"
        outlined
        @click="own.describeMaterial()"
      />
      <Button
        v-else-if="kind === 'dressings'"
        :label="common.aFeedOrLimeOf"
        icon="pi pi-plus"
        outlined
        @click="own.describeDressing()"
      />
    </div>
    <ShelfMaterials
      v-if="kind === 'materials'"
      :search="search"
      :units="units"
      @describe="own.describeMaterial($event)"
    />
    <ShelfDressings
      v-else-if="kind === 'dressings'"
      :search="search"
      :units="units"
      @describe="own.describeDressing($event)"
    />
    <BaggedMixes v-else :bags="bags" :units="units" @describe="describe" />
    <BagDialog
      :tables="tables"
      :materials="materials"
      :dressings="dressings"
      :bag="reading"
      :listed="listed"
      :units="units"
      @save="keep"
      @remove="remove"
      @close="close"
    />
    <OwnMaterialDialog
      :material="own.material.value"
      :units="units"
      :listed="materialListed"
      @save="own.keepMaterial"
      @copy="own.describeMaterial($event, true)"
      @close="own.close"
    />
    <OwnDressingDialog
      :dressing="own.dressing.value"
      :units="units"
      :listed="dressingListed"
      @save="own.keepDressing"
      @copy="own.describeDressing($event, true)"
      @close="own.close"
    />
  </div>
</template>

<style scoped>
.tools {
  margin-bottom: 10px;
}
.search {
  width: min(24rem, 100%);
}
</style>
