<script setup lang="ts">
/**
 * Every recipe the rules allow, tried: the best of each family of materials, cost against fit, and what stands in the
 * way.
 */
import { cropInText } from '@/text/base/cropInText'
import { atOnce } from '@/text/base/atOnce'
import { common } from '@/text/base/common'
import { finderView as words } from '@/text/views/finderView'
import { watchDebounced } from '@vueuse/core'
import Button from 'primevue/button'
import ProgressBar from 'primevue/progressbar'
import { computed, defineAsyncComponent, shallowRef, watch } from 'vue'
import { useStations } from '@/composables/job/useStations'
import ProblemBox from '@/components/frame/ProblemBox.vue'
import { useFinder } from '@/composables/find/useFinder'
import { useFinderWishes } from '@/composables/find/useFinderWishes'
import { useJob } from '@/composables/job/useJob'
import { useReplaceRecipe } from '@/composables/bench/useReplaceRecipe'
import type { Candidate } from '@/core/finder'
import { afterFinding } from '@/model/find/nextMoves'
import { meetsAll, shareDone } from '@/core/finder'
import { counted } from '@/text/base/counted'
import { fitText, foundHeading, foundText, givenUpText, onlyText } from '@/text/mix/finder'
import { shortName } from '@/text/base/titles'
import { costOfFound, fitPoints } from '@/components/bench/fitPoints'
import FoundTable from '@/components/find/FoundTable.vue'
import FinderWishes from './FinderWishes.vue'

const FitChart = defineAsyncComponent(() => import('@/components/bench/FitChart.vue'))

const { jobId } = defineProps<{ jobId: string }>()
const of = useJob(() => jobId)
const { garden, job, crop, units } = of
const replaceRecipe = useReplaceRecipe(of)
const { go } = useStations(() => jobId)
const wishing = useFinderWishes(of, jobId)
const { ids, total } = wishing
const finder = useFinder(wishing)
const { running, progress, result, way, asking, trouble, canTryAgain, again, found, find, askWay, show } =
  finder

// It answers at once, and again whenever a wish has changed and the hand rests.
function findIfAny() {
  if (ids.value.length > 0) find()
}
findIfAny()
watchDebounced(wishing.request, findIfAny, { debounce: 250 })

const ROWS_AT_ONCE = 10
const most = shallowRef(ROWS_AT_ONCE)
watch(wishing.request, () => (most.value = ROWS_AT_ONCE))
const rows = computed(() => found.value.slice(0, most.value))
const left = computed(() => found.value.length - rows.value.length)
const best = computed(() => found.value[0]?.candidate ?? null)
const heading = computed(() => foundHeading(found.value))
/** What nothing in the list beats in both cost and fit: the picture and the list say the same of it. */
const front = computed(
  () => new Set(fitPoints(found.value, { width: 1, height: 1 }).flatMap((p) => (p.isFront ? [p.key] : []))),
)
const isPriced = computed(() => found.value.some((f) => Number.isFinite(costOfFound(f))))
const share = computed(() => (progress.value ? Math.round(100 * shareDone(progress.value)) : 0))

async function openIt(c: Candidate) {
  if (!job.value) return
  const feeds = found.value.find((f) => f.candidate === c)?.look?.feeds
  replaceRecipe(afterFinding(job.value, c, feeds), words.whatTheFinderFound(foundText(c)).slice(0, 110))
  await go('mix')
}
</script>

<template>
  <div v-if="job" class="page finder">
    <section class="wishes" aria-labelledby="wishes-title">
      <div class="row">
        <h2 id="wishes-title">{{ common.findAMix }}</h2>
        <RouterLink :to="{ name: 'mix', params: { garden: garden.name, jobId } }">{{
          common.backToTheBench
        }}</RouterLink>
      </div>
      <p class="soft">
        {{ words.forInTheBedOf(crop ? cropInText(crop.name) : common.mostVegetables) }}
      </p>
      <FinderWishes :wishing="wishing" />
      <div class="row go">
        <Button v-if="running" :label="words.stopAndShow" icon="pi pi-stop" outlined @click="show" />
        <small>{{ counted(total, 'recipe') }}</small>
      </div>
    </section>

    <section class="found" aria-live="polite" :aria-label="words.whatWasFound">
      <ProblemBox v-if="trouble" :sentence="trouble">
        <Button v-if="canTryAgain" :label="common.tryAgain" size="small" outlined @click="again" />
      </ProblemBox>
      <div v-if="running" class="running">
        <ProgressBar :value="Math.round(share)" :aria-label="words.recipesTried" />
        <p v-if="progress?.judged">{{ words.judgingTheBest(progress.judged.done, progress.judged.of) }}</p>
        <p v-if="progress?.best && !best">
          {{ words.bestSoFar }} <strong>{{ foundText(progress.best) }}</strong>, {{ fitText(progress.best) }}.
        </p>
      </div>
      <p v-else-if="!result && !trouble && ids.length === 0" class="soft teach">
        {{ words.nothingOnTheShelfTo }}
      </p>
      <template v-if="result || best">
        <h2>{{ result ? heading : words.soFar }}</h2>
        <p v-if="result && !result.complete" class="soft">
          {{ words.ofTheLookedAtBefore(counted(result.tried, 'recipe')) }}
        </p>
        <p v-if="result && (!best || !meetsAll(best))">
          <template v-if="best">{{ words.theNearest(fitText(best)) }}</template>
          <Button v-if="!way && !asking" :label="words.whatIsInTheWay" text size="small" @click="askWay" />
          <span v-if="asking" class="soft">{{ words.givingUpEachWishIn }}</span>
        </p>
        <ul v-if="way" class="way">
          <li v-if="way.length === 0">{{ onlyText(best) }}</li>
          <li v-for="w in way" :key="givenUpText(w)">{{ givenUpText(w) }}</li>
        </ul>
        <FitChart v-if="front.size > 0" :found="found" :units="units" @open="openIt" />
        <p v-else-if="best && !isPriced" class="soft">
          {{ words.withPricesOnTheShelf }}
        </p>
        <FoundTable
          v-if="best"
          :rows="rows"
          :front="front"
          :units="units"
          :crop-name="crop?.name ?? null"
          @open="openIt"
        />
        <Button
          v-if="left > 0"
          :label="atOnce.showMoreOf(Math.min(left, ROWS_AT_ONCE), left)"
          text
          size="small"
          @click="most += ROWS_AT_ONCE"
        />
        <p v-if="result" class="soft">
          {{
            words.triedOfLotsWithinAll(
              counted(result.tried, 'recipe'),
              counted(result.allowed.length, 'material'),
              result.allowed.map(shortName).slice(0, 8).join(', '),
              result.allowed.length > 8 ? ' …' : '',
            )
          }}
        </p>
      </template>
    </section>
  </div>
</template>

<style scoped>
.finder {
  display: grid;
  grid-template-columns: minmax(270px, 320px) minmax(0, 1fr);
  gap: 36px;
  align-items: start;
}
.wishes {
  display: flex;
  flex-direction: column;
  gap: 10px;
}
.wishes > .row {
  justify-content: space-between;
}
.go {
  margin-top: 6px;
}
.way li {
  padding: 4px 0;
}
@media (max-width: 760px) {
  .finder {
    grid-template-columns: minmax(0, 1fr);
    gap: 14px;
  }
}
</style>
