<script setup lang="ts">
/** Every feed, lime and other dressing: what is in it, how it is bought. */
import { common } from '@/text/base/common'
import { shelfDressings as words } from '@/text/views/shelfDressings'
import { computed, ref } from 'vue'
import DressingPackDialog from '@/components/shelf/DressingPackDialog.vue'
import DressingShelfRow from '@/components/shelf/DressingShelfRow.vue'
import type { Dressing } from '@/core/data'
import { dressingPackKey, ownDressingsOf } from '@/model/garden/garden'
import { everyDressing } from '@/model/garden/tables'
import type { OwnDressingRecord } from '@/model/garden/schemas'
import { dressingEntry } from '@/model/garden/shelfEntry'
import { useGarden } from '@/stores/garden'
import { counted } from '@/text/base/counted'
import { dressingFindable } from '@/text/shelf/names'
import { search as searchRows } from '@/text/shelf/search'
import type { UnitSystem } from '@/text/base/units'

const { search, units } = defineProps<{ search: string; units: UnitSystem }>()
const emit = defineEmits<{ describe: [own: OwnDressingRecord] }>()
const garden = useGarden()
const packOf = ref<Dressing | null>(null)
const all = computed(() => everyDressing(garden.records))
const owns = computed(() => new Map(ownDressingsOf(garden.records).map((d) => [d.id, d])))
const rows = computed(() =>
  searchRows(all.value, search, dressingFindable).map((dressing) => ({
    dressing,
    entry: dressingEntry(garden.records, dressing.id),
    own: owns.value.get(dressing.id) ?? null,
    told: garden.records.has(dressingPackKey(dressing.id)),
  })),
)
</script>

<template>
  <p class="soft count" role="status">
    {{ common.of(rows.length, counted(all.length, words.feedOrLime, words.feedsAndLimes)) }}
  </p>
  <ul class="plain">
    <DressingShelfRow
      v-for="{ dressing, entry, own, told } in rows"
      :key="dressing.id"
      :dressing="dressing"
      :entry="entry"
      :told="told"
      :own="own !== null"
      :retired="own?.retired ?? false"
      :units="units"
      @pack="packOf = dressing"
      @describe="own && emit('describe', own)"
    />
  </ul>
  <p v-if="rows.length === 0" class="soft">{{ common.nothingOnTheShelfAnswers(search) }}</p>
  <DressingPackDialog
    :dressing="packOf"
    :item="packOf ? dressingEntry(garden.records, packOf.id) : null"
    :units="units"
    @save="garden.run({ type: 'dressingPack/set', item: $event })"
    @close="packOf = null"
  />
</template>

<style scoped>
.count {
  margin: 0 0 6px;
}
</style>
