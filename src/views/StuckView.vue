<script setup lang="ts">
/** The garden does not open: why, and what can be done. */
import { common } from '@/text/base/common'
import { stuckView as words } from '@/text/views/stuckView'
import Button from 'primevue/button'
import { ref } from 'vue'
import ProblemBox from '@/components/frame/ProblemBox.vue'
import { saveFile } from '@/composables/page/saveFile'
import type { Stuck } from '@/storage/openGarden'
import { useGarden } from '@/stores/garden'
import { stuckText } from '@/text/base/stuck'

const { opening } = defineProps<{ opening: Stuck }>()
const garden = useGarden()
const busy = ref(false)

async function doing(work: () => Promise<void>) {
  busy.value = true
  await work()
  busy.value = false
}
/** A page anew: what hangs in this one hangs on. */
const reload = () => location.reload()
const save = () =>
  doing(async () => {
    const text = await garden.rawText()
    if (text !== null) saveFile(`open-bed-${garden.name}-as-found.json`, text, 'application/json')
  })
</script>

<template>
  <div class="page narrow">
    <h1>{{ words.doesNotOpen(garden.name === 'demo' ? common.theDemoGarden : common.yourGarden) }}</h1>
    <ProblemBox :sentence="stuckText(opening)" />
    <p class="calm">{{ words.nothingWasChangedWhatWas }}</p>
    <div class="row">
      <Button :label="common.tryAgain" :disabled="busy" @click="reload" />
      <Button :label="words.openToLookAtOnly" outlined :disabled="busy" @click="doing(garden.openReadOnly)" />
      <Button :label="words.saveWhatIsThereTo" outlined :disabled="busy" @click="save" />
    </div>
    <p v-if="busy" role="status">{{ words.waitingForTheDatabase }}</p>
  </div>
</template>

<style scoped>
.narrow {
  max-width: 680px;
}
.calm {
  margin-top: 12px;
}
.row {
  margin-top: 14px;
}
</style>
