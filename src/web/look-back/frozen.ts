/** The width a sheet is laid out at when it becomes a picture or a page of its own, in CSS pixels. */
export const PAPER_WIDTH = 1080

/**
 * A copy of a drawn sheet that stands still: canvases and pictures by their content, links and controls as plain words. It lies beside
 * the page, where it is laid out like on a wide screen but not seen, until `away` is called.
 */
export async function frozen(paper: HTMLElement): Promise<{ readonly sheet: HTMLElement; readonly away: () => void }> {
  const ground = document.createElement('div')
  const theme = document.querySelector('.v-application')?.className ?? ''
  ground.className = theme
  // Far to the left, not hidden: what is hidden is not laid out.
  ground.style.cssText = `position:absolute;left:-20000px;top:0;width:${PAPER_WIDTH}px;min-height:0;background:var(--tray);padding:16px;box-sizing:border-box;display:block;`
  const sheet = paper.cloneNode(true) as HTMLElement
  const canvases = [...paper.querySelectorAll('canvas')]
  ;[...sheet.querySelectorAll('canvas')].forEach((copy, n) => {
    const image = document.createElement('img')
    image.src = canvases[n]?.toDataURL() ?? ''
    image.alt = copy.getAttribute('aria-label') ?? ''
    image.style.cssText = 'width:100%;height:100%;object-fit:contain;object-position:left'
    copy.replaceWith(image)
  })
  for (const each of sheet.querySelectorAll('.no-share, button, details, .visually-hidden')) each.remove()
  for (const link of sheet.querySelectorAll('a')) {
    const words = document.createElement('span')
    words.className = link.className
    for (const attribute of link.attributes)
      if (attribute.name.startsWith('data-v-')) words.setAttribute(attribute.name, '')
    words.style.cssText = 'font-weight:640'
    words.append(...link.childNodes)
    link.replaceWith(words)
  }
  await Promise.all([...sheet.querySelectorAll('img')].filter(({ src }) => !src.startsWith('data:')).map(inlined))
  const wasPhone = document.documentElement.classList.contains('phone')
  document.documentElement.classList.remove('phone')
  ground.append(sheet)
  document.body.append(ground)
  return {
    sheet: ground,
    away: () => {
      ground.remove()
      document.documentElement.classList.toggle('phone', wasPhone)
    },
  }
}

async function inlined(image: HTMLImageElement): Promise<void> {
  image.src = await dataUrlOf(image.src)
}

/** What lies at an address of our own, as an address that carries it within. */
export async function dataUrlOf(address: string): Promise<string> {
  const blob = await (await fetch(address)).blob()
  return new Promise((resolve, reject) => {
    const reader = new FileReader()
    reader.onload = () => resolve(String(reader.result))
    reader.onerror = () => reject(reader.error ?? new Error(`${address} could not be read`))
    reader.readAsDataURL(blob)
  })
}
