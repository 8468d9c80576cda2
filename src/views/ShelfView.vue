<script setup lang="ts">
/** Every material: what it does, where the figures come from, how it is bought. */
import { shelfEntry } from '@/model/garden/shelfEntry'
import { onKeyStroke } from '@vueuse/core'
import Button from 'primevue/button'
import Dialog from 'primevue/dialog'
import InputText from 'primevue/inputtext'
import { computed, ref } from 'vue'
import MaterialSwatch from '@/components/MaterialSwatch.vue'
import PackDialog from '@/components/PackDialog.vue'
import { MATERIALS, type Material, type MaterialProperties, type Property } from '@/core/data'
import { citationOf } from '@/core/data/sources'
import BagDialog from '@/components/bench/BagDialog.vue'
import { useBags } from '@/composables/useBags'
import { describeBag } from '@/model/mix/bags'
import { bagsOf } from '@/model/garden/garden'
import { useGarden } from '@/stores/garden'
import { packText } from '@/text/labels'
import { FAMILY_NAMES, matches } from '@/text/materials'
import { problemText } from '@/text/problems.en'
import { bagText } from '@/text/recipes'
import { lengthText, percentText, pHText, volumeText } from '@/text/units'

const garden = useGarden()
const search = ref('')
const reading = ref<Material | null>(null)
const editing = ref<Material | null>(null)
const units = computed(() => garden.settings.units)
const { reading: labelled, listed, describe, keep, remove, close } = useBags()
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
const rows = computed(() =>
  MATERIALS.filter((m) => matches(m, search.value)).map((material) => ({
    material,
    entry: shelfEntry(garden.records, material),
  })),
)

const PROPERTIES: {
  key: keyof MaterialProperties
  label: string
  term: string
  percent?: boolean
  /** A small share, shown with two figures. */
  fine?: boolean
  unit?: string
}[] = [
  { key: 'dryBulkDensity', label: 'Weight, dry', term: 'dry bulk density', unit: 'kg/L' },
  { key: 'moistBulkDensityAsBought', label: 'Weight, as bought', term: 'moist bulk density', unit: 'kg/L' },
  { key: 'totalPorosity', label: 'Pores', term: 'effective total porosity', percent: true },
  { key: 'waterAt10Cm', label: 'Water at 10 cm', term: 'volumetric, 10 cm tension', percent: true },
  { key: 'waterAt50Cm', label: 'Water at 50 cm', term: 'volumetric, 50 cm tension', percent: true },
  { key: 'waterAt100Cm', label: 'Water at 100 cm', term: 'volumetric, 100 cm tension', percent: true },
  { key: 'looseEnvelopeFraction', label: 'Packing, loose', term: 'envelope volume fraction', percent: true },
  { key: 'pH', label: 'pH', term: 'in the mix' },
  { key: 'bufferCapacity', label: 'Hold on pH', term: 'buffer capacity', unit: 'mmol/L per pH' },
  { key: 'cationExchangeCapacity', label: 'Hold on feed', term: 'cation exchange capacity', unit: 'mmol/L' },
  { key: 'electricalConductivity', label: 'Salts', term: 'EC, saturated extract', unit: 'dS/m' },
  { key: 'nitrogen', label: 'Nitrogen', term: 'total, of dry weight', fine: true },
  { key: 'phosphorus', label: 'Phosphorus', term: 'P, of dry weight', fine: true },
  { key: 'potassium', label: 'Potassium', term: 'K, of dry weight', fine: true },
  { key: 'calcium', label: 'Calcium', term: 'Ca, of dry weight', fine: true },
  { key: 'magnesium', label: 'Magnesium', term: 'Mg, of dry weight', fine: true },
  {
    key: 'nitrogenFirstSeason',
    label: 'Nitrogen, first season',
    term: 'given, or taken if below 0',
    unit: 'mg/L',
  },
  { key: 'structuralHalfLife', label: 'Half rotted in', term: 'half-life of its structure', unit: 'years' },
  { key: 'saturatedConductivity', label: 'Lets water through', term: 'saturated conductivity', unit: 'cm/h' },
  { key: 'volumeFactorOnWetting', label: 'Swelling on wetting', term: 'loose litres per litre bought' },
  { key: 'looseLitresPerKgDry', label: 'Loose litres per kg', term: 'from a dry block', unit: 'L/kg' },
]
const shown = (property: Property, which: 'value' | 'low' | 'high', row: (typeof PROPERTIES)[number]) =>
  row.percent
    ? percentText(property[which])
    : row.fine
      ? `${Number((property[which] * 100).toPrecision(2))} %`
      : String(Number(property[which].toPrecision(3)))
/** Citations behind a material's figures, each once, with the figures that lean on it. */
const sourcesOf = (material: Material) => {
  const found = new Map<string, string[]>()
  for (const row of PROPERTIES) {
    const property = material.properties[row.key]
    if (!property) continue
    const citation = citationOf(property.source)
    found.set(citation, [...(found.get(citation) ?? []), row.label.toLowerCase()])
  }
  return [...found]
}

onKeyStroke('/', (event) => {
  if (event.target instanceof HTMLElement && /^(INPUT|TEXTAREA)$/.test(event.target.tagName)) return
  event.preventDefault()
  document.querySelector<HTMLInputElement>('#shelf-search')?.focus()
})
</script>

<template>
  <div class="page">
    <h1>Shelf</h1>
    <div class="row tools">
      <InputText
        id="shelf-search"
        v-model="search"
        placeholder="Search the shelf ( / )"
        aria-label="Search the shelf"
        autocomplete="off"
      />
      <span class="soft" role="status">{{ rows.length }} of {{ MATERIALS.length }} materials</span>
    </div>
    <ul class="plain list">
      <li v-for="{ material: m, entry } in rows" :key="m.id">
        <MaterialSwatch :material="m" :size="40" />
        <span class="name"
          ><strong>{{ m.name }}</strong
          ><small>{{ FAMILY_NAMES[m.family] }}</small></span
        >
        <span class="fact"
          ><small>Air in {{ lengthText(20, units) }}</small
          >{{ percentText(m.properties.totalPorosity.value - m.properties.waterAt10Cm.value) }}</span
        >
        <span class="fact"
          ><small>Easy water</small
          >{{ percentText(m.properties.waterAt10Cm.value - m.properties.waterAt50Cm.value) }}</span
        >
        <span class="fact"><small>pH</small>{{ pHText(m.properties.pH.value) }}</span>
        <span class="fact wide"
          ><small>Bought as</small>{{ packText(entry.pack, units)
          }}<template v-if="entry.price !== null">, {{ entry.price.toFixed(2) }}</template></span
        >
        <span class="fact"
          ><small>On hand</small>{{ entry.stock > 0 ? volumeText(entry.stock, units) : 'none' }}</span
        >
        <span class="actions">
          <Button
            label="Figures"
            text
            size="small"
            :aria-label="`Figures and sources of ${m.name}`"
            @click="reading = m"
          />
          <Button
            label="Pack"
            text
            size="small"
            :aria-label="`Pack, price and stock of ${m.name}`"
            @click="editing = m"
          />
        </span>
      </li>
    </ul>
    <p v-if="rows.length === 0" class="soft">Nothing on the shelf answers to “{{ search }}”.</p>

    <Dialog
      :visible="reading !== null"
      modal
      dismissable-mask
      :header="reading?.name"
      :style="{ width: 'min(46rem, 96vw)' }"
      :pt="{ content: { tabindex: 0 } }"
      @update:visible="reading = null"
    >
      <template v-if="reading">
        <table class="plain">
          <thead>
            <tr>
              <th scope="col">Figure</th>
              <th scope="col" class="num">Best</th>
              <th scope="col" class="num">Likely range</th>
              <th scope="col">How sure</th>
            </tr>
          </thead>
          <tbody>
            <template v-for="p in PROPERTIES" :key="p.key">
              <tr v-if="reading.properties[p.key]">
                <th scope="row">
                  {{ p.label }}<br /><small>{{ p.term }}</small>
                </th>
                <td class="num">{{ shown(reading.properties[p.key]!, 'value', p) }} {{ p.unit }}</td>
                <td class="num">
                  {{ shown(reading.properties[p.key]!, 'low', p) }} to
                  {{ shown(reading.properties[p.key]!, 'high', p) }}
                </td>
                <td>{{ reading.properties[p.key]!.confidence }}</td>
              </tr>
            </template>
          </tbody>
        </table>
        <p class="src">
          <strong>Sources</strong>, recalled rather than read; as a row, {{ reading.confidence }} confidence:
        </p>
        <ul class="src">
          <li v-for="[citation, figures] in sourcesOf(reading)" :key="citation">
            {{ citation }}: {{ figures.join(', ') }}.
          </li>
        </ul>
        <p v-if="reading.hazards" class="src"><strong>Mind:</strong> {{ reading.hazards }}.</p>
      </template>
    </Dialog>
    <section class="bags" aria-labelledby="bags-title">
      <div class="row head">
        <h2 id="bags-title">Bagged mixes</h2>
        <Button label="Describe a bagged mix" icon="pi pi-tag" outlined size="small" @click="describe()" />
      </div>
      <p class="soft">
        From their labels: to hold your own against in Compare, or to go into a mix as a part of it.
      </p>
      <ul class="plain">
        <li v-for="b in bags" :key="b.bag.id" class="bag">
          <span class="name"
            ><strong>{{ b.name }}</strong
            ><small>{{ b.says }}</small></span
          >
          <span class="fact wide"
            ><small>Bought as</small>{{ packText({ kind: 'loose', litres: b.bag.litres }, units)
            }}<template v-if="b.bag.price !== null">, {{ b.bag.price.toFixed(2) }}</template></span
          >
          <Button
            label="Label"
            text
            size="small"
            :aria-label="`Label of ${b.name}`"
            @click="describe(b.bag)"
          />
        </li>
      </ul>
    </section>
    <BagDialog :bag="labelled" :listed="listed" :units="units" @save="keep" @remove="remove" @close="close" />
    <PackDialog
      :material="editing"
      :item="editing ? shelfEntry(garden.records, editing) : null"
      :units="units"
      @save="garden.run({ type: 'shelf/set', item: $event })"
      @close="editing = null"
    />
  </div>
</template>

<style scoped>
.bags {
  margin-top: 28px;
}
.bags .head {
  justify-content: space-between;
}
.bag {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 18px;
  align-items: center;
  padding: 8px 0;
  border-bottom: 1px solid var(--rule);
}
.bag .name {
  flex: 1 1 16rem;
}
.tools {
  margin-bottom: 10px;
}
.tools input {
  width: min(24rem, 100%);
}
.list li {
  display: grid;
  grid-template-columns: 40px minmax(180px, 1fr) repeat(3, 84px) 170px 84px auto;
  gap: 12px;
  align-items: center;
  padding: 7px 0;
  border-bottom: 1px solid var(--rule);
}
.name {
  display: flex;
  flex-direction: column;
  line-height: 1.25;
}
.fact small {
  display: block;
}
.actions {
  white-space: nowrap;
}
.src {
  margin: 10px 0 0;
}
@media (max-width: 1000px) {
  .list li {
    grid-template-columns: 40px 1fr 1fr 1fr;
  }
  .name {
    grid-column: 2 / -1;
  }
  .fact {
    grid-column: auto;
  }
  .fact.wide {
    grid-column: span 2;
  }
  .fact:nth-child(3) {
    grid-column: 2;
  }
  .actions {
    grid-column: 2 / -1;
  }
}
</style>
