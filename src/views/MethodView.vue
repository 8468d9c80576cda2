<script setup lang="ts">
/** How each number comes about, and what to beware of. */
import { methodView as words } from '@/text/views/methodView'
import CautionList from '@/components/CautionList.vue'
import { SUBSOIL_TENSION } from '@/core/water'
import { ALL_CAUTIONS } from '@/text/base/cautions'

const sections = [
  {
    title: words.howMuchAContainerHolds,
    plain: words.theInsideCutIntoLevel,
    equation: 'V = ∫ A(z) dz, from the base to the fill line',
    source: words.planeGeometryAFabricBag,
  },
  {
    title: words.lostOnStirring,
    plain:
      'Three buckets in do not make three buckets of mix: fine grains fall into the gaps between coarse ones, and heavy parts press soft ones. What goes is air; solids and the water in fine pores all stay.',
    equation: 's = 1 − Σ f φ / γ,  and  s = Σ f k max(0, ρ̄ − ρ)  for soft parts',
    source:
      'Linear packing model, Stovall, de Larrard & Buil 1986, coefficients de Larrard 1999; pressing of soft parts is our assumption, sized on Pokorny, Gibson & Dunavent 1986 and Nash & Pokorny 1990 (from memory; low confidence).',
  },
  {
    title: words.airAfterDraining,
    plain:
      'When draining ends, water is held harder the higher it sits above the hole: at height z by z centimetres of pull. Each material’s own curve says what water stays at that pull; the rest of the pores is air. The same mix is airy in a deep tub and a swamp in a shallow tray.',
    equation: 'θ(h) = θr + (θs − θr) (1 + (αh)ⁿ)^−(1 − 1/n);  air = porosity − mean of θ over the container',
    source:
      'van Genuchten 1980; Fonteno 1989; Bilderback & Fonteno 1987. On layers: as it stands 24 hours after watering. Left out: wicking, old roots.',
  },
  {
    title: words.waterThatMoves,
    plain: words.waterItTheWateringPlan,
    equation: '∂θ/∂t = ∂/∂z [K(h) (∂ψ/∂z + 1)] − uptake;  K = Ks √S (∫ −dθ/x)², read off the mix’s own curve',
    source:
      'Richards 1931; Celia, Bouloutas & Zarba 1990; Mualem 1976; roots as FAO-56 and Feddes, Kowalik & Zaradny 1978. Left out: a dry mix that sheds water, water running down the wall, hysteresis.',
  },
  {
    title: words.aBedOpenToThe,
    plain: words.theSoilUnderneathDrawsOn(SUBSOIL_TENSION.coarse, SUBSOIL_TENSION.loam, SUBSOIL_TENSION.clay),
    equation: 'h(z) = z + h_soil',
    source: words.commonPracticeFieldCapacityOf,
  },
  {
    title: words.waterWithinEasyReach,
    plain:
      'What the mix gives up between its drained state and 50 cm of pull; roots take it without strain. A bed drained by soil is past that before anything grows: there it is counted to 400 cm, as for watered ground.',
    equation: words.meanOfH50Or,
    source:
      'After De Boodt & Verdonck 1972, from the container’s own drained state; over soil, tensiometer practice of 20 to 60 kPa.',
  },
  {
    title: words.phAndLime,
    plain:
      'Each material defends its own pH with the strength of its buffer; the blend settles where they balance. Ground lime dissolves over weeks, slower as pH rises, and stops near 7.4; what is left lies as residue. Judged at six weeks and 20 °C.',
    equation: 'pH = Σ f b pH / Σ f b + reacted / b;  dU/dt = −k U g(pH)',
    source:
      'Linear buffers, common practice for pH 4 to 7; sieve efficiency after the Illinois Agronomy Handbook (from memory); rates set so that 28 g of limestone per US gallon of peat and 5 g per litre of peat land at 5.8 to 6.6 (common practice).',
  },
  {
    title: 'Weight',
    plain: words.dryMixPlusTheWater,
    equation: 'm = V (ρ + θ)',
    source: words.massBalanceLifting23Kg,
  },
  {
    title: 'Waterings',
    plain:
      'How thirsty the air is comes from your place’s days, nights and latitude; the crop’s shade, and cloth or clay walls, say how much of it the pot feels. What the mix can give before the crop suffers, over what goes in a day, is the days between waterings. No rain is counted.',
    equation: 'use = ET₀ Kc A + ET₀ w A_wall;  days = usable litres / use',
    source:
      'Hargreaves, FAO-56 eq. 52 (Allen et al. 1998), its crop coefficients and depletion fractions; walls 0.3 for cloth, 0.25 for clay (our assumption).',
  },
  {
    title: 'Wind',
    plain: words.theWindAtWhichThe,
    equation: '½ρ v² (C A_c h_c + A_p h_p) = W g b / 2',
    source: 'Statics; crown drag 0.5 (0.3 to 0.9), six tenths solid (our assumption).',
  },
  {
    title: words.howMuchMix,
    plain: words.whatLiesBetweenTheLayers,
    equation: 'net = V(line) − V(layers) + Σ V_layer · gaps · washed in − roots − old mix',
    source: 'Geometry; gaps and rot of layers from common practice (our assumption, wide).',
  },
  {
    title: 'Targets',
    plain:
      'Air, pH and salts as the crop likes them, easy water as pots want it, weight as far as one person lifts, waterings as you can keep them. Of several crops the strictest end wins; where they cannot agree the leading one wins and the page says so. You can move any of them.',
    equation: words.highestLowToLowestHigh,
    source: 'Crop tables with their sources; De Boodt & Verdonck 1972; NIOSH revised lifting equation.',
  },
  {
    title: words.likelyRanges,
    plain:
      'No two bags are alike. Five hundred sets of materials are drawn within the ranges of the tables, each mixed and drained and limed in your container; eight in ten come out within the range shown. The same mix always gets the same range.',
    equation: 'low to high = 10 % to 90 % of the draws',
    source:
      'Monte Carlo; a table’s low and high taken as one in twenty beyond each, heavier with less porous, wetter with wetter (our assumptions).',
  },
  {
    title: 'Batches',
    plain:
      'Buckets and scoops with the fewest movements of the hand that keep every part within a twentieth of the recipe and fill at most two thirds of the tub. Where none do, the page says which scoop would. The mix is judged again as measured.',
    equation: 'blend = bucket × Σ measures × (1 − s)',
    source: 'Arithmetic.',
  },
]
</script>

<template>
  <div class="page narrow">
    <h1>{{ words.method }}</h1>
    <p class="soft">
      {{ words.whereEachNumberComesFrom }}
    </p>
    <section v-for="s in sections" :key="s.title">
      <h2>{{ s.title }}</h2>
      <p>{{ s.plain }}</p>
      <p class="equation">{{ s.equation }}</p>
      <p class="soft source">{{ s.source }}</p>
    </section>
    <CautionList :heading="words.cautionsAllInOnePlace" :cautions="ALL_CAUTIONS" />
  </div>
</template>

<style scoped>
.narrow {
  max-width: 780px;
}
section {
  margin: 20px 0;
}
.equation {
  font-family: var(--slab);
  border-left: 4px solid var(--clay);
  padding: 4px 12px;
  background: var(--sheet);
}
.source {
  font-size: 0.92rem;
}
</style>
