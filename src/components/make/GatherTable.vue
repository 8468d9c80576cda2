<script setup lang="ts">
/** What to gather: how much of each, in packs, what is left over, what it costs, what to wet. */
import { common } from '@/text/base/common'
import { gatherTable as words } from '@/text/components/make'
import Button from 'primevue/button'
import { computed, ref } from 'vue'
import type { Material } from '@/core/data'
import type { InnerMix } from '@/model/garden/schemas'
import { isBought, type GatherLine } from '@/text/make/gather'
import { lookOf } from '@/painting/looks'
import { stackText } from '@/text/make/gather'
import type { UnitSystem } from '@/text/base/units'
import PackStack from './PackStack.vue'
import MaterialSwatch from '../MaterialSwatch.vue'

const { lines, units } = defineProps<{ lines: readonly GatherLine[]; units: UnitSystem }>()
const emit = defineEmits<{
  tick: [line: GatherLine, done: boolean]
  missing: [material: Material]
  pack: [material: Material]
  dosePack: [dressingId: string]
  origin: [mix: InnerMix, kind: 'made' | 'ready']
}>()
/** Litres across: the most there is of any. */
const scale = computed(() => Math.max(...lines.map((l) => (l.stack ? l.stack.need + l.stack.left : 0)), 1))
const HEAD = ['Material', words.measureOut, 'Buy', words.leftOver, 'Cost', words.wetItFirst]
const NUMBERS = new Set([words.measureOut, words.leftOver, 'Cost'])
/** On a phone the rest of a line is shown when it is asked for. */
const opened = ref(new Set<string>())
const toggle = (id: string) => {
  const next = new Set(opened.value)
  if (!next.delete(id)) next.add(id)
  opened.value = next
}
const isReady = (mix: InnerMix) => mix.origin.kind === 'ready'
</script>

<template>
  <div class="scroll">
    <table class="plain list stacks">
      <thead>
        <tr>
          <th scope="col">
            <span class="visually-hidden">{{ words.bought }}</span>
          </th>
          <th v-for="h in HEAD" :key="h" scope="col" :class="{ num: NUMBERS.has(h) }">{{ h }}</th>
          <th scope="col">
            <span class="visually-hidden">{{ common.change }}</span>
          </th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="line in lines" :key="line.id" :class="{ got: isBought(line), open: opened.has(line.id) }">
          <td class="box">
            <label v-if="line.toBuy" class="hit">
              <input
                type="checkbox"
                :checked="isBought(line)"
                :aria-label="words.isBoughtOrAtHand(line.name)"
                @change="emit('tick', line, ($event.target as HTMLInputElement).checked)"
              />
            </label>
          </td>
          <th scope="row">
            <span class="what">
              <MaterialSwatch v-if="'material' in line.what" :material="line.what.material" :size="28" />
              <span v-else class="sign" :class="'mix' in line.what ? 'mix' : 'dose'" aria-hidden="true" />
              <span>{{ line.name }}<small v-if="line.inside" class="inside">{{ line.inside }}</small></span>
            </span>
            <PackStack
              v-if="line.stack && 'material' in line.what"
              class="drawn"
              :stack="line.stack"
              :scale="scale"
              :tint="lookOf(line.what.material).tint"
              :label="stackText(line.stack, units)"
            />
          </th>
          <td class="num detail" data-label="Measure out">{{ line.measure }}</td>
          <template v-if="'strong' in line.buy">
            <td class="buy">
              <strong>{{ line.buy.strong }}</strong
              ><small v-for="s in line.buy.small" :key="s">{{ s }}</small>
              <button
                type="button"
                class="more"
                :aria-expanded="opened.has(line.id)"
                :aria-label="words.moreOf(line.name)"
                @click="toggle(line.id)"
              >
                {{ opened.has(line.id) ? words.less : words.more }}
              </button>
            </td>
            <td class="num detail" data-label="Left over">{{ line.leftover }}</td>
            <td class="num detail" data-label="Cost">{{ line.cost }}</td>
            <td class="detail" data-label="Wet it first">
              {{ line.wet[0] }}<small v-for="w in line.wet.slice(1)" :key="w"><br />{{ w }}</small>
            </td>
            <td class="acts detail">
              <Button
                v-if="'material' in line.what"
                :label="common.pack"
                text
                size="small"
                :aria-label="common.packPriceAndStockOf(line.name)"
                @click="emit('pack', line.what.material)"
              />
              <Button
                v-if="'material' in line.what && !isBought(line)"
                :label="words.notToBeHad"
                text
                size="small"
                :aria-label="words.isNotToBeHad(line.name)"
                @click="emit('missing', line.what.material)"
              />
              <Button
                v-else-if="'dose' in line.what"
                :label="common.pack"
                text
                size="small"
                :aria-label="common.packPriceAndStockOf(line.name)"
                @click="emit('dosePack', line.what.dose)"
              />
            </td>
          </template>
          <td v-else data-label="Buy" :class="{ soft: 'dose' in line.what }" colspan="5">
            {{ line.buy.sentence }}
            <Button
              v-if="'mix' in line.what"
              :label="isReady(line.what.mix) ? words.makeItFirst : words.iHaveItReady"
              :aria-label="isReady(line.what.mix) ? `Make ${line.name} first` : common.iHaveReady(line.name)"
              text
              size="small"
              @click="emit('origin', line.what.mix, isReady(line.what.mix) ? 'made' : 'ready')"
            />
            <Button
              v-else-if="'dose' in line.what"
              :label="common.pack"
              text
              size="small"
              :aria-label="common.packPriceAndStockOf(line.name)"
              @click="emit('dosePack', line.what.dose)"
            />
          </td>
        </tr>
      </tbody>
    </table>
  </div>
</template>

<style scoped>
.hit {
  display: grid;
  place-items: center;
  width: 48px;
  height: 48px;
  cursor: pointer;
}
.hit input {
  width: 24px;
  height: 24px;
  accent-color: var(--clay);
}
.box {
  width: 48px;
  padding: 0;
}
.got th,
.got td {
  color: var(--ink-soft);
}
.what {
  display: flex;
  align-items: center;
  gap: 10px;
  color: var(--ink);
  font-size: 1rem;
}
.drawn {
  margin-top: 8px;
}
.acts {
  white-space: nowrap;
}
.buy small {
  display: block;
}
.sign {
  width: 28px;
  height: 28px;
  flex: none;
}
.sign.mix {
  border-radius: 50%;
  border: 1.5px solid var(--edge);
  background: var(--clay-wash);
}
.sign.dose {
  border-radius: 6px;
  border: 1px dashed var(--edge);
}
.inside {
  display: block;
}
@media (min-width: 761px) {
  .more {
    display: none;
  }
}
@media (max-width: 760px) {
  tr:not(.open) .detail {
    display: none;
  }
  .list.stacks .buy {
    display: block;
    position: relative;
    padding: 4px 64px 4px 48px;
    text-align: left;
  }
  .more {
    position: absolute;
    top: -6px;
    right: 0;
    min-width: 56px;
    min-height: 44px;
    border: 0;
    background: none;
    color: var(--clay);
    font: inherit;
    font-size: 0.92rem;
    text-decoration: underline;
    cursor: pointer;
  }
  tbody tr {
    display: grid;
    grid-template-columns: 48px minmax(0, 1fr);
    align-items: center;
  }
  .box,
  tbody th {
    grid-row: 1;
  }
  tbody th {
    flex-wrap: wrap;
  }
  .drawn {
    flex-basis: 100%;
  }
  tbody td:not(.box) {
    grid-column: 1 / -1;
  }
  .list.stacks tbody td[colspan] {
    display: flex;
    align-items: center;
    justify-content: space-between;
    padding: 0 0 4px 48px;
    text-align: left;
  }
  .list.stacks tbody td[colspan]::before {
    content: none;
  }
}
</style>
