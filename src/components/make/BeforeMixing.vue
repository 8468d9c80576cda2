<script setup lang="ts">
/** What to do before the first batch: wet what is dry, and what to mind. */
import { common } from '@/text/base/common'
import { beforeMixing as says } from '@/text/components/make'
import type { Caution } from '@/text/base/cautions'
import CautionList from '../CautionList.vue'
import FoldBox from '../frame/FoldBox.vue'

const { soaking, bucket, cautions, read } = defineProps<{
  soaking: readonly { id: string; name: string; words: string }[]
  /** The bucket in words: "10 L". */
  bucket: string
  cautions: readonly Caution[]
  /** Those read today. */
  read: ReadonlySet<string>
}>()
const emit = defineEmits<{ read: [ids: string[]] }>()
</script>

<template>
  <section class="no-print" aria-labelledby="before-title">
    <h2 id="before-title" class="visually-hidden">{{ says.beforeYouBegin }}</h2>
    <FoldBox id="before-mixing" :title="says.first" :says="says.wetAndMeasure">
      <ul v-if="soaking.length" class="plain soak">
        <li v-for="s in soaking" :key="s.id"><strong>{{ s.name }}:</strong> {{ s.words }}</li>
      </ul>
      <p>
        {{ says.fillTheBucketLooselyTo(bucket) }}
      </p>
    </FoldBox>
    <CautionList
      :heading="common.beforeYouOpenTheBags"
      :cautions="cautions"
      :read="read"
      @read="emit('read', $event)"
    />
  </section>
</template>

<style scoped>
.soak {
  margin-bottom: 10px;
}
.soak li {
  padding: 4px 0;
}
</style>
