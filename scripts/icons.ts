import { readFileSync } from 'node:fs'
import { join } from 'node:path'
import sharp from 'sharp'
import { packageRoot } from '#server/db/package-root'

/** Makes the icons that a phone's home screen asks for, from the one drawing there is: `npx tsx --conditions source scripts/icons.ts`. */
const folder = join(packageRoot(), 'src', 'web', 'public')
const drawing = readFileSync(join(folder, 'seligo.svg'))
const GROUND = '#eceef0'
/** A mask may cut off a tenth on every side (W3C Web Application Manifest, maskable icons: a safe zone of 40 % radius). */
const WITHIN = 0.72

for (const size of [192, 512]) {
  const inner = Math.round(size * WITHIN)
  const picture = await sharp(drawing, { density: 600 }).resize(inner, inner).png().toBuffer()
  await sharp({ create: { width: size, height: size, channels: 3, background: GROUND } })
    .composite([{ input: picture, gravity: 'centre' }])
    .png({ palette: true })
    .toFile(join(folder, `icon-${size}.png`))
}
