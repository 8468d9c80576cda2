<script setup lang="ts">
/** Recipes found, best first, with what would stand out about each. */
import Button from 'primevue/button'
import { keyOf, type Candidate, type Found } from '@/core/finder'
import { concernText, fitText, foundText } from '@/text/finder'
import { percentText, pHText, rateFigure, rateUnit, type UnitSystem } from '@/text/units'

const { rows, units } = defineProps<{ rows: readonly Found[]; units: UnitSystem }>()
const emit = defineEmits<{ open: [candidate: Candidate] }>()
const costText = (cost: number) => (Number.isFinite(cost) ? rateFigure(cost, units) : '–')
</script>

<template>
  <div class="scroll">
    <table class="plain list stacks">
      <caption class="visually-hidden">
        Recipes found, best first
      </caption>
      <thead>
        <tr>
          <th scope="col">Parts</th>
          <th scope="col">Fit</th>
          <th scope="col" class="num">Air</th>
          <th scope="col" class="num">Water in reach</th>
          <th scope="col" class="num">pH before lime</th>
          <th scope="col" class="num">Cost {{ rateUnit(units) }}</th>
          <th scope="col"><span class="visually-hidden">Open</span></th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="{ candidate: c, onFront, concerns } in rows" :key="keyOf(c)">
          <th scope="row">
            {{ foundText(c) }}<small v-if="onFront" class="front">nothing better for the money</small>
          </th>
          <td data-label="Fit">
            <span
              >{{ fitText(c)
              }}<small v-if="concerns" class="concern">{{ concernText(concerns) }}</small></span
            >
          </td>
          <td class="num" data-label="Air">{{ percentText(c.figures.airFilledPorosity) }}</td>
          <td class="num" data-label="Water in reach">{{ percentText(c.figures.easilyAvailableWater) }}</td>
          <td class="num" data-label="pH before lime">{{ pHText(c.figures.pH) }}</td>
          <td class="num" :data-label="`Cost ${rateUnit(units)}`">{{ costText(c.figures.costPerLitre) }}</td>
          <td>
            <Button
              label="On the bench"
              size="small"
              outlined
              :aria-label="`Put on the bench: ${foundText(c)}`"
              @click="emit('open', c)"
            />
          </td>
        </tr>
      </tbody>
    </table>
  </div>
</template>

<style scoped>
.list :deep(.p-button) {
  white-space: nowrap;
}
.concern {
  display: block;
}
.front {
  display: block;
  flex-basis: 100%;
  color: var(--clay);
}
.list th[scope='row'] {
  font-weight: 600;
  flex-wrap: wrap;
}
@media (min-width: 761px) {
  .list td[data-label='Fit'] {
    min-width: 8.6rem;
  }
}
</style>
