<script setup lang="ts">
/** Feeding with the can: what the mix lacks, the feeds that make it up, each carried out and judged whole. */
import { common } from '@/text/base/common'
import { feedView as words } from '@/text/views/feedView'
import Button from 'primevue/button'
import { computed, ref } from 'vue'
import ChoiceField from '@/components/field/ChoiceField.vue'
import FoldBox from '@/components/frame/FoldBox.vue'
import ProblemBox from '@/components/frame/ProblemBox.vue'
import StationFrame from '@/components/frame/StationFrame.vue'
import WeekBars from '@/components/picture/WeekBars.vue'
import FeedDialog from '@/components/season/FeedDialog.vue'
import FeedLine from '@/components/season/FeedLine.vue'
import FeedStock from '@/components/season/FeedStock.vue'
import { useJob } from '@/composables/job/useJob'
import { useStations } from '@/composables/job/useStations'
import { useCan } from '@/composables/season/useCan'
import { newLine, useLiquidFeed } from '@/composables/season/useLiquidFeed'
import type { LiquidFeedLine } from '@/model/garden/schemas'
import { shortDayText } from '@/text/base/dates'
import { jobTitle } from '@/text/base/titles'
import { failureText } from '@/text/make/tasks'
import { nutrientWeeks } from '@/text/readings/feed'
import {
  canText,
  cansFor,
  offerLine,
  offerText,
  offerTitle,
  seasonText,
  whenText,
} from '@/text/season/liquidFeed'
import { lowerFirst } from '@/text/base/counted'
import { verdictText } from '@/text/mix/topics'
import { feedName } from '@/text/shelf/dressings'
import { percentText, waterText } from '@/text/base/units'

const { jobId } = defineProps<{ jobId: string }>()
const inHand = useJob(() => jobId)
const { job, units, crop, tables } = inHand
const { to } = useStations(() => jobId)
const feed = useLiquidFeed(inHand)
const { lines, together, feeding, short, shortOn, waterEc, feeds, offers, progress, failure, start, end } =
  feed

const can = useCan(units)
const cans = computed(() =>
  [...new Set([...cansFor(units.value), can.value])]
    .sort((a, b) => a - b)
    .map((value) => ({ value, label: waterText(value, units.value) })),
)
const weeks = computed(() => feeding.value && nutrientWeeks(feeding.value))
const parts = computed(() =>
  together.value.map(({ dressing, line }) => ({ dressing, gramsPerLitre: line.gramsPerLitre })),
)
const round = computed(() =>
  feed.round.value.map(({ job: of, line, dressing, litres, from, to }) => ({
    id: line.id,
    name: jobTitle(of),
    feed: `${feedName(dressing.id)}: ${canText(dressing, line.gramsPerLitre, can.value, units.value)}`,
    water: waterText(litres, units.value),
    when: whenText(line, from, to),
  })),
)
const dressingsOf = computed(() => new Map(feeds.value.map((d) => [d.id, d])))
const offerLines = computed(() =>
  (offers.value ?? []).map((offer) => ({
    offer,
    title: offerTitle(offer),
    cans: offer.feeds.map((one) => {
      const dressing = dressingsOf.value.get(one.dressingId)!
      return offerLine(one, { dressing, can: can.value, units: units.value, byStage: offer.byStage })
    }),
    season: feed
      .seasonOf(offer.feeds)
      .map(({ dressing, grams, money }) => seasonText(dressing, grams, money, units.value)),
    says: offerText(offer),
    verdict: offer.saysTheSame ? words.nothingWorse : verdictText(offer.verdict, crop.value?.name ?? null),
  })),
)
const writing = ref(false)
const draft = ref<LiquidFeedLine | null>(null)
function write(line: LiquidFeedLine) {
  draft.value = line
  writing.value = true
}
/** A feed by its usual strength: what a grower of the choice begins from. */
function another() {
  const first = offers.value?.[0]?.feeds[0]
  write(
    newLine(
      first ?? {
        dressingId: feeds.value[0]!.id,
        gramsPerLitre: 1,
        litres: 1,
        everyDays: 7,
        fromDay: 14,
        untilDay: null,
      },
    ),
  )
}
const nameOf = (line: LiquidFeedLine) => lowerFirst(feedName(line.dressingId))
</script>

<template>
  <StationFrame v-if="job && tables" columns="minmax(280px, 1fr) minmax(0, 1.4fr)">
    <section aria-labelledby="feed-title">
      <div class="row head">
        <h2 id="feed-title">{{ common.liquidFeed }}</h2>
        <RouterLink :to="to('season')">{{ words.backToTheSeason }}</RouterLink>
      </div>
      <p v-if="!crop" role="status">{{ words.noCrop }}</p>
      <template v-else-if="feeding && weeks">
        <p class="lead">
          <template v-if="short">{{
            words.runsShort(
              weeks.byWeek.find((r) => r.isFirst)?.name ?? '',
              Math.ceil(short.day / 7),
              shortDayText(shortOn),
            )
          }}</template>
          <template v-else-if="lines.length">{{ words.withFeeds(percentText(feeding.fed)) }}</template>
          <template v-else>{{ offers?.length ? words.onlyTraces : words.enough }}</template>
        </p>
        <WeekBars :rows="weeks.byWeek" :label="weeks.label" />
      </template>
      <FoldBox v-if="lines.length" id="feed-stock" :title="words.stock" :says="words.stockSays">
        <FeedStock :parts="parts" :water="waterEc ?? 0" :units="units" />
      </FoldBox>
      <FoldBox v-if="round.length" id="feed-round" :title="words.round" :says="words.roundSays">
        <ul class="plain">
          <li v-for="r in round" :key="r.id" class="offer">
            <strong>{{ r.name }}</strong>: {{ r.water }}. {{ r.when }}
            <p class="soft">{{ r.feed }}</p>
          </li>
        </ul>
      </FoldBox>
      <FoldBox v-if="crop" id="feed-leaf" :title="words.leafTitle" :says="words.leafSays">
        <p>{{ words.leaf }}</p>
      </FoldBox>
    </section>
    <section v-if="crop" class="work">
      <div class="row head">
        <h2 v-if="lines.length || short || offers?.length">
          {{ lines.length ? words.yourFeeds : words.waysToFeed }}
        </h2>
        <ChoiceField
          class="can"
          :label="words.can"
          :model-value="can"
          :options="cans"
          @update:model-value="$event && (can = $event)"
        />
      </div>
      <ul v-if="lines.length" class="plain">
        <FeedLine
          v-for="one in lines"
          :key="one.line.id"
          :feed="one"
          :can="can"
          :water="waterEc"
          :units="units"
          @change="write(one.line)"
          @remove="feed.remove(one.line.id, nameOf(one.line))"
        />
      </ul>
      <p v-if="progress !== null" class="soft" role="status">{{ words.lookingFor(percentText(progress)) }}</p>
      <ProblemBox v-if="failure" :sentence="failureText(failure)">
        <Button :label="words.tryAgain" outlined @click="feed.again()" />
      </ProblemBox>
      <template v-if="offers && (short || (!lines.length && offers.length))">
        <h2 v-if="lines.length">{{ words.waysToFeed }}</h2>
        <p v-if="offers.length === 0">{{ words.noneHelps }}</p>
        <ul class="plain">
          <li v-for="o in offerLines" :key="o.title" class="offer">
            <h3>{{ o.title }}</h3>
            <p v-for="text in o.cans" :key="text">{{ text }}</p>
            <p class="soft">{{ o.says }} {{ o.season.join(' ') }} {{ o.verdict }}</p>
            <Button
              :label="words.useThis(lowerFirst(o.title))"
              outlined
              @click="feed.take(o.offer, lowerFirst(o.title))"
            />
          </li>
        </ul>
      </template>
      <div class="row no-print">
        <Button :label="words.another" text icon="pi pi-plus" @click="another" />
        <Button v-if="lines.length && short && !offers" :label="words.waysToFeed" text @click="feed.ask()" />
      </div>
      <p class="soft">{{ words.cautions }}</p>
      <FeedDialog
        v-if="draft"
        v-model:visible="writing"
        :line="draft"
        :feeds="feeds"
        :start="start"
        :end="end"
        :units="units"
        @keep="feed.keep($event, nameOf($event))"
      />
    </section>
  </StationFrame>
</template>

<style scoped>
.head {
  justify-content: space-between;
  align-items: end;
  margin-bottom: 10px;
}
.lead {
  font-size: 1.15rem;
}
.offer {
  padding: 8px 0 14px;
  border-bottom: 1px solid var(--rule);
}
.offer p {
  margin: 0 0 4px;
}
</style>
