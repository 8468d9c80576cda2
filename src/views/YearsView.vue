<script setup lang="ts">
/** Beds that keep their soil over the years: what grew, what comes next, what compost has left. */
import { yearsView as words } from '@/text/views/yearsView'
import { computed, ref } from 'vue'
import YardPicture from '@/components/bed/YardPicture.vue'
import YearRow from '@/components/bed/YearRow.vue'
import QuantityField from '@/components/field/QuantityField.vue'
import SwitchField from '@/components/field/SwitchField.vue'
import FoldBox from '@/components/frame/FoldBox.vue'
import { useYearsAhead } from '@/composables/garden/useYearsAhead'
import { bedTitle } from '@/text/base/titles'
import { greenText, leavesText, phosphorusText, planText, springLines } from '@/text/bed/years'

const { garden, units, bucket, thisYear, ahead, captionsOf, rowsOf, setYear, ofBed } = useYearsAhead()
const year = ref(thisYear + 1)
const years = [0, 1, 2, 3].map((n) => ({ value: thisYear + n, label: String(thisYear + n) }))
const beds = computed(() => ahead.value.beds.map((b) => b.bed))
const picked = ref<string | null>(null)
const chosen = computed(() => beds.value.find((b) => b.id === picked.value) ?? beds.value[0] ?? null)
const captions = computed(() => captionsOf(year.value))
const all = computed(() => (chosen.value ? rowsOf(chosen.value.id) : []))
const rows = computed(() => all.value.filter((r) => r.year >= thisYear))
const past = computed(() => all.value.filter((r) => r.year < thisYear))
const more = computed(() => (chosen.value ? ofBed(chosen.value.id, year.value) : null))
const say = (on: number, cropId: string | null) =>
  chosen.value && setYear(chosen.value.id, on, { cropId }, words.did.crop)
</script>

<template>
  <div class="page">
    <div class="row head">
      <h1>{{ words.title }}</h1>
      <RouterLink :to="{ name: 'beds', params: { garden: garden.name } }">{{ words.toBeds }}</RouterLink>
    </div>
    <p v-if="!chosen">{{ words.noBeds }}</p>
    <template v-else>
      <p class="lead" role="status">{{ planText(ahead) }}</p>
      <SwitchField v-model="year" :options="years" :label="words.whichYear" />
      <YardPicture
        :beds="beds"
        :chosen="chosen.id"
        :bucket="bucket"
        :units="units"
        :captions="captions"
        @choose="picked = $event"
      />
      <section aria-labelledby="years-bed" class="two">
        <div>
          <h2 id="years-bed">{{ bedTitle(chosen) }}</h2>
          <ul class="plain">
            <YearRow
              v-for="r in rows"
              :key="r.year"
              :row="r"
              :is-ahead="r.year > thisYear"
              @say="say(r.year, $event)"
            />
          </ul>
          <FoldBox id="years-before" :title="words.before" :says="words.beforeSays">
            <ul class="plain">
              <YearRow
                v-for="r in past"
                :key="r.year"
                :row="r"
                :is-ahead="false"
                @say="say(r.year, $event)"
              />
            </ul>
          </FoldBox>
        </div>
        <div v-if="more" aria-live="polite">
          <p v-if="more.before">{{ leavesText(more.before, units) }}</p>
          <p v-if="greenText(more.green, units)">{{ greenText(more.green, units) }}</p>
          <FoldBox id="years-compost" :title="words.compost" :says="words.compostSays">
            <p>{{ phosphorusText(more.phosphorus, units) }}</p>
            <QuantityField
              class="spread"
              :label="words.compostIn(String(year))"
              quantity="length"
              :units="units"
              :model-value="more.spread"
              @update:model-value="
                setYear(chosen.id, year, { compost: Math.max(0, $event) }, words.did.compost)
              "
            />
          </FoldBox>
          <FoldBox v-if="more.spring" id="years-spring" :title="words.spring" :says="words.springSays">
            <p v-for="line in springLines(more.spring, year, units)" :key="line">{{ line }}</p>
          </FoldBox>
          <p v-if="ahead.leftOut" class="soft">{{ words.leftOut(String(ahead.leftOut)) }}</p>
        </div>
      </section>
    </template>
  </div>
</template>

<style scoped>
.head {
  justify-content: space-between;
  align-items: end;
}
.lead {
  font-size: 1.15rem;
}
.two {
  display: grid;
  grid-template-columns: minmax(0, 1.3fr) minmax(0, 1fr);
  gap: 32px;
  margin-top: 14px;
}
.spread {
  max-width: 260px;
}
@media (max-width: 760px) {
  .two {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
