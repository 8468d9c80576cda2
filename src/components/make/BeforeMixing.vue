<script setup lang="ts">
/** What to do before the first batch: wet what is dry, and what to mind. */
import { common } from '@/text/base/common'
import { beforeMixing as says } from '@/text/components/make'
import type { Caution } from '@/text/base/cautions'
import CautionList from '../CautionList.vue'

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
  <section class="no-print" :aria-label="says.beforeYouBegin">
    <details open>
      <summary>
        <h2>{{ says.first }}</h2>
      </summary>
      <ul v-if="soaking.length" class="plain soak">
        <li v-for="s in soaking" :key="s.id">
          <strong>{{ s.name }}:</strong> {{ s.words }}
        </li>
      </ul>
      <p>
        {{ says.fillTheBucketLooselyTo(bucket) }}
      </p>
      <CautionList
        :heading="common.beforeYouOpenTheBags"
        :cautions="cautions"
        :read="read"
        @read="emit('read', $event)"
      />
    </details>
  </section>
</template>

<style scoped>
summary {
  cursor: pointer;
  margin-bottom: 8px;
}
summary h2 {
  display: inline;
}
.soak {
  margin-bottom: 10px;
}
.soak li {
  padding: 4px 0;
}
</style>
