/** How long the browser may take to fetch what it saves. */
const WITHIN_MS = 60_000

/** Hands a file to the browser to save, named by words. */
export function saveAs(blob: Blob, words: string, ending: string): void {
  const link = document.createElement('a')
  link.href = URL.createObjectURL(blob)
  link.download = `${words.replace(/[^\p{L}\p{N}]+/gu, '-').replace(/^-|-$/g, '') || 'sheet'}.${ending}`
  link.click()
  setTimeout(() => URL.revokeObjectURL(link.href), WITHIN_MS)
}
