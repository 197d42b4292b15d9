<script setup lang="ts">
import { mdiFileDocumentOutline } from '@mdi/js'

/** One file, dropped here or chosen. It is handed on at once; what it holds is said by whoever takes it. */
withDefaults(defineProps<{ label: string; button?: string; accept: string; disabled?: boolean }>(), {
  button: 'Choose a file',
  disabled: false,
})
const emit = defineEmits<{ file: [file: File] }>()

function take(files: File | File[] | null): void {
  const file = Array.isArray(files) ? files[0] : files
  if (file) emit('file', file)
}

/** The same file can be chosen once more: it may have been mended meanwhile. */
function forget({ target }: Event): void {
  if (target instanceof HTMLInputElement) target.value = ''
}
</script>

<template>
  <v-defaults-provider :defaults="{ VFileUploadItem: { fileIcon: mdiFileDocumentOutline } }">
    <v-file-upload
      class="file-drop min-w-0"
      :title="label"
      :browse-text="button"
      :accept="accept"
      :disabled="disabled"
      :aria-label="label"
      @click.capture="forget"
      @update:model-value="take"
    >
      <!-- A picture is shown where it goes, not here. -->
      <template v-if="accept.startsWith('image')" #item />
    </v-file-upload>
  </v-defaults-provider>
</template>

<style scoped>
.file-drop :deep(.v-file-upload-dropzone) {
  flex-wrap: wrap;
  padding: 14px 16px;
  gap: 6px 16px;
  background: none;
  border: 1.5px dashed var(--line);
  border-radius: 10px;
}

.file-drop :deep(.v-file-upload-title) {
  font: 600 14.5px/1.3 var(--text);
  text-align: left;
  flex: 1 1 200px;
}

.file-drop :deep(input[type='file']) {
  width: 1px;
}

.file-drop :deep(.v-file-upload-divider) {
  display: none;
}
</style>
