<script setup lang="ts">
/** Recipes found, best first, with what would stand out about each. */
import { common } from '@/text/base/common'
import { foundTable as words } from '@/text/components/find'
import Button from 'primevue/button'
import { keyOf, type Candidate, type Found } from '@/core/finder'
import { costOfFound } from '../bench/fitPoints'
import { chanceText, fitText, foundText, saidText } from '@/text/mix/finder'
import { doseText, percentText, pHText, rateFigure, rateUnit, type UnitSystem } from '@/text/base/units'

const {
  rows,
  front = new Set<string>(),
  units,
  cropName,
} = defineProps<{
  rows: readonly Found[]
  /** Keys of what nothing in the list beats in both cost and fit. */
  front?: ReadonlySet<string>
  units: UnitSystem
  cropName: string | null
}>()
const emit = defineEmits<{ open: [candidate: Candidate] }>()
const costText = (cost: number) => (Number.isFinite(cost) ? rateFigure(cost, units) : '–')
</script>

<template>
  <div class="scroll">
    <table class="plain list stacks">
      <caption class="visually-hidden">
        {{ words.recipesFoundBestFirst }}
      </caption>
      <thead>
        <tr>
          <th scope="col">{{ common.parts }}</th>
          <th scope="col">{{ words.fit }}</th>
          <th scope="col" class="num wrap">{{ words.lotsWithinAllBands }}</th>
          <th scope="col" class="num">{{ words.air }}</th>
          <th scope="col" class="num wrap">{{ words.waterInReach }}</th>
          <th scope="col" class="num wrap">{{ words.phWithLime }}</th>
          <th scope="col" class="num">{{ words.cost(rateUnit(units)) }}</th>
          <th scope="col">
            <span class="visually-hidden">{{ words.open }}</span>
          </th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="{ candidate: c, look } in rows" :key="keyOf(c)">
          <th scope="row">
            {{ foundText(c)
            }}<small v-if="front.has(keyOf(c))" class="front">{{ words.nothingBetterForTheMoney }}</small>
          </th>
          <td data-label="Fit">
            <span>
              <!-- What is judged with its lime and feed says more than the search alone. -->
              <template v-if="look">{{ saidText(look, cropName) }}</template>
              <component :is="look ? 'small' : 'span'" v-if="!look || c.score > 0" class="concern">{{
                fitText(c)
              }}</component>
            </span>
          </td>
          <td class="num" data-label="Batches that meet every target">
            {{ look && look.chance !== null ? chanceText(look.chance) : '–' }}
          </td>
          <td class="num" data-label="Air">{{ percentText(look?.air ?? c.figures.airFilledPorosity) }}</td>
          <td class="num" data-label="Easy water">
            {{ percentText(look?.water ?? c.figures.easilyAvailableWater) }}
          </td>
          <td class="num" data-label="pH with lime">
            <template v-if="look"
              >{{ pHText(look.pH)
              }}<small v-if="look.limeGramsPerLitre > 0" class="concern">{{
                words.lime(doseText(look.limeGramsPerLitre, units))
              }}</small></template
            ><template v-else>–</template>
          </td>
          <td class="num" :data-label="words.cost(rateUnit(units))">
            {{ costText(costOfFound({ candidate: c, look })) }}
          </td>
          <td>
            <Button
              :label="common.onTheBench"
              size="small"
              outlined
              :aria-label="words.putOnTheBench(foundText(c))"
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
  .list th[scope='row'] {
    min-width: 11.5rem;
  }
  .list th.wrap {
    white-space: normal;
    max-width: 4.6rem;
  }
  .list td[data-label='Fit'] {
    min-width: 8rem;
  }
}
</style>
