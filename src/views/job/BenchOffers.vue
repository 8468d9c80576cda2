<script setup lang="ts">
/** What an empty bench offers: three mixes worked out for this crop, bed, place and shelf. */
import { cropInText } from '@/text/base/cropInText'
import { common } from '@/text/base/common'
import { benchOffers as words } from '@/text/views/benchOffers'
import { useElementHover, useFocusWithin, useTimeoutFn } from '@vueuse/core'
import Button from 'primevue/button'
import ProgressBar from 'primevue/progressbar'
import { computed, ref, shallowRef, toRaw, useTemplateRef, watch, watchEffect } from 'vue'
import { useBenchContext } from '@/composables/bench/useBenchContext'
import { useChoices } from '@/composables/shelf/useChoices'
import ManyChoiceField from '@/components/field/ManyChoiceField.vue'
import SwitchField from '@/components/field/SwitchField.vue'
import { useFinder } from '@/composables/find/useFinder'
import { beginWith, firstRequest, type Have } from '@/model/find/firstOffers'
import { judgedBed } from '@/model/garden/garden'
import { isAloft } from '@/model/garden/vessel'
import { threeMixes, type MixOffer } from '@/model/find/threeMixes'
import { materialChoices } from '@/text/base/choices'
import { foundText, saidText } from '@/text/mix/finder'
import { dosesText, gainsText, givesUpText, OFFER_NAMES } from '@/text/mix/offers'

/** What a grower may begin from, the usual first. */
const HAVES: { value: Have['kind']; label: string }[] = [
  { value: 'nothing', label: words.tellMeWhatToGet },
  { value: 'bag', label: words.aBagOfPottingMix },
  { value: 'own', label: words.otherMaterials },
]
/** More are seldom mixed. */
const MOST_NAMED = 8
/** A first answer is better than the best one late, ms. */
const SOON = 1500

const { garden, job, place, tables, crop, units, replaceRecipe } = useBenchContext()
/** What the grower begins from; materials that are there are named. */
const kind = ref<Have['kind']>('nothing')
const ids = ref<string[]>([])
const have = computed<Have>(() =>
  kind.value === 'own' ? { kind: 'own', ids: ids.value } : { kind: kind.value },
)
const { materials } = useChoices(garden)
const choices = computed(() => (kind.value === 'own' ? materialChoices(materials.value) : []))
const request = computed(() => {
  const empty = toRaw(job.value)
  return empty ? firstRequest(garden.records, empty, toRaw(place.value), have.value) : null
})
const { running, result, found, find, show } = useFinder({ request, units })
const { start: hurry } = useTimeoutFn(show, SOON, { immediate: false })
watch(
  request,
  () => {
    if (!request.value?.ok || (kind.value === 'own' && ids.value.length === 0)) return
    find()
    hurry()
  },
  { immediate: true },
)
const aloft = computed(() => !!job.value && isAloft(judgedBed(job.value).spec))
const best = computed(() => threeMixes(found.value, tables.value, aloft.value))
/** What is offered; it never changes under the hand that reaches for it. */
const offers = shallowRef<MixOffer[]>([])
const list = useTemplateRef('list')
const { focused } = useFocusWithin(list)
const hovered = useElementHover(list)
watch(request, () => (offers.value = []))
watchEffect(() => {
  if (offers.value.length === 0 || !(focused.value || hovered.value)) offers.value = best.value
})
function begin({ found }: MixOffer) {
  if (!job.value) return
  replaceRecipe(
    beginWith(garden.records, job.value, place.value, found),
    common.beginningWith(foundText(found.candidate)).slice(0, 110),
  )
}
</script>

<template>
  <section class="offers" aria-labelledby="offers-title" aria-live="polite">
    <h2 id="offers-title">
      {{ words.mixesForInThisBed(crop ? cropInText(crop.name) : common.mostVegetables) }}
    </h2>
    <SwitchField v-model="kind" class="haves" :options="HAVES" :label="words.whatDoYouHave" />
    <ManyChoiceField
      v-if="kind === 'own'"
      v-model="ids"
      :label="words.materialsYouHave"
      :options="choices"
      :most="MOST_NAMED"
      :placeholder="words.chooseWhatYouHave"
      :search="words.searchMaterials"
      :none="words.noMaterialOfThatName"
    />
    <p v-if="kind === 'own' && ids.length === 0" class="soft">{{ words.nameTwoOrMore }}</p>
    <ProgressBar
      v-if="running && offers.length === 0"
      mode="indeterminate"
      :aria-label="words.tryingRecipes"
    />
    <ul v-if="offers.length > 0 && !(kind === 'own' && ids.length === 0)" ref="list" class="plain">
      <li v-for="o in offers" :key="foundText(o.found.candidate)">
        <span class="words">
          <small>{{ OFFER_NAMES[o.reason] }}</small>
          <strong>{{ foundText(o.found.candidate) }}</strong>
          <span v-if="o.found.look" class="says">{{ saidText(o.found.look, crop?.name ?? null) }}</span>
          <span v-if="dosesText(o, units)">{{ dosesText(o, units) }}</span>
          <span class="soft">{{ gainsText(o, units) }}</span>
          <span v-if="givesUpText(o)" class="soft">{{ words.givesUp(givesUpText(o)) }}</span>
        </span>
        <Button
          :label="common.beginWithIt"
          size="small"
          outlined
          :aria-label="common.beginWith(foundText(o.found.candidate))"
          @click="begin(o)"
        />
      </li>
    </ul>
    <p v-else-if="result && !running" class="soft">
      {{ kind === 'nothing' ? words.nothingOnYourShelfMakes : words.noMixOfThese }}
    </p>
  </section>
</template>

<style scoped>
.haves {
  margin: 6px 0 10px;
}
.haves :deep(.p-selectbutton) {
  flex-wrap: wrap;
  gap: 6px;
}
.haves :deep(.p-togglebutton) {
  border: 1.5px solid var(--edge);
  border-radius: var(--round);
}
.offers li {
  display: flex;
  gap: 12px;
  align-items: center;
  padding: 8px 0;
  border-bottom: 1px solid var(--rule);
}
.words {
  flex: 1;
  display: flex;
  flex-direction: column;
  line-height: 1.35;
}
.offers :deep(.p-button) {
  flex: none;
}
</style>
