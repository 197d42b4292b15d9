import { toBlob } from 'html-to-image'
import { frozen, PAPER_WIDTH } from './frozen'

/** Pixels of the picture for one of the page: one for a message, two for a print. */
export const PICTURE_SIZES = { small: 1, large: 2 } as const
export type PictureSize = keyof typeof PICTURE_SIZES

/** A sheet as a PNG, `PAPER_WIDTH` wide or twice that. */
export async function pictureOf(paper: HTMLElement, size: PictureSize): Promise<Blob> {
  const { sheet, away } = await frozen(paper)
  try {
    const blob = await toBlob(sheet, {
      pixelRatio: PICTURE_SIZES[size],
      width: PAPER_WIDTH,
      height: sheet.scrollHeight,
      // It lies far to the left of the page; in the picture it stands at its corner.
      style: { position: 'static', left: '0', top: '0' },
    })
    if (blob === null) throw new Error('The browser made no picture of it.')
    return blob
  } finally {
    away()
  }
}
