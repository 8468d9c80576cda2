<script setup lang="ts">
/** Every material: what it does, where the figures come from, how it is bought. */
import { computed, ref } from 'vue'
import BagDialog from '@/components/bench/BagDialog.vue'
import TextField from '@/components/field/TextField.vue'
import PackDialog from '@/components/PackDialog.vue'
import BaggedMixes from '@/components/shelf/BaggedMixes.vue'
import MaterialFigures from '@/components/shelf/MaterialFigures.vue'
import MaterialRow from '@/components/shelf/MaterialRow.vue'
import { useBags } from '@/composables/useBags'
import { useSlashToSearch } from '@/composables/useSlashToSearch'
import { MATERIALS, type Material } from '@/core/data'
import { bagsOf } from '@/model/garden/garden'
import { shelfEntry } from '@/model/garden/shelfEntry'
import { describeBag } from '@/model/mix/bags'
import { useGarden } from '@/stores/garden'
import { counted } from '@/text/counted'
import { matches } from '@/text/materials'
import { problemText } from '@/text/problems.en'
import { bagText } from '@/text/recipes'

const garden = useGarden()
const units = computed(() => garden.settings.units)
const search = ref('')
const searchBox = ref<InstanceType<typeof TextField> | null>(null)
useSlashToSearch(searchBox)
const figuresOf = ref<Material | null>(null)
const packOf = ref<Material | null>(null)
const { reading, listed, describe, keep, remove, close } = useBags()

const rows = computed(() =>
  MATERIALS.filter((m) => matches(m, search.value)).map((material) => ({
    material,
    entry: shelfEntry(garden.records, material),
  })),
)
const bags = computed(() =>
  bagsOf(garden.records).map((bag) => {
    const found = describeBag(bag, 'mix:shown')
    return {
      bag,
      name: bag.name.trim() || 'Bagged mix',
      says: found.ok ? bagText(found.value.mix, units.value) : problemText(found.problem, units.value).why,
    }
  }),
)
</script>

<template>
  <div class="page">
    <h1>Shelf</h1>
    <div class="row tools">
      <TextField
        ref="searchBox"
        v-model="search"
        class="search"
        label="Search the shelf"
        hide-label
        placeholder="Search the shelf ( / )"
      />
      <span class="soft" role="status">{{ rows.length }} of {{ counted(MATERIALS.length, 'material') }}</span>
    </div>
    <ul class="plain">
      <MaterialRow
        v-for="{ material, entry } in rows"
        :key="material.id"
        :material="material"
        :entry="entry"
        :units="units"
        @read="figuresOf = material"
        @edit="packOf = material"
      />
    </ul>
    <p v-if="rows.length === 0" class="soft">Nothing on the shelf answers to “{{ search }}”.</p>
    <BaggedMixes :bags="bags" :units="units" @describe="describe" />
    <MaterialFigures :material="figuresOf" @close="figuresOf = null" />
    <BagDialog :bag="reading" :listed="listed" :units="units" @save="keep" @remove="remove" @close="close" />
    <PackDialog
      :material="packOf"
      :item="packOf ? shelfEntry(garden.records, packOf) : null"
      :units="units"
      @save="garden.run({ type: 'shelf/set', item: $event })"
      @close="packOf = null"
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
