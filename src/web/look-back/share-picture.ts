import { frozen, PAPER_WIDTH } from './frozen'
import { stylesFor } from './share-page'

/** Pixels of the picture for one of the page: one for a message, two for a print. */
export const PICTURE_SIZES = { small: 1, large: 2 } as const
export type PictureSize = keyof typeof PICTURE_SIZES

/**
 * A sheet as a PNG, `PAPER_WIDTH` wide or twice that: the page that stands by itself, drawn by the browser within an SVG. Copying the
 * styles node by node, as the usual package does, took three to four seconds for one month.
 */
export async function pictureOf(paper: HTMLElement, size: PictureSize): Promise<Blob> {
  const { sheet, away } = await frozen(paper)
  try {
    const height = sheet.scrollHeight
    const styles = await stylesFor(sheet)
    sheet.style.position = 'static'
    // Its styles go into the text alone: within the page its letters would not be allowed.
    const written = new XMLSerializer().serializeToString(sheet).replace('>', `><style><![CDATA[${styles}]]></style>`)
    const svg = `<svg xmlns="http://www.w3.org/2000/svg" width="${PAPER_WIDTH}" height="${height}"><foreignObject width="100%" height="100%">${written}</foreignObject></svg>`
    const image = new Image()
    image.src = `data:image/svg+xml;charset=utf-8,${encodeURIComponent(svg)}`
    await image.decode()
    const canvas = document.createElement('canvas')
    const ratio = PICTURE_SIZES[size]
    canvas.width = PAPER_WIDTH * ratio
    canvas.height = height * ratio
    const ctx = canvas.getContext('2d')
    if (!ctx) throw new Error('the browser gives no canvas')
    ctx.drawImage(image, 0, 0, canvas.width, canvas.height)
    return await new Promise((resolve, reject) => {
      canvas.toBlob(
        (blob) => (blob ? resolve(blob) : reject(new Error('the browser made no picture of it'))),
        'image/png',
      )
    })
  } finally {
    away()
  }
}
