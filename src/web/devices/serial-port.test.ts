import { expect, test } from 'vitest'
import { FrameStream, type ScaleFrame } from '#core/scale/frames'
import { SerialScalePort, type SerialLike } from './serial-port'

/** A port that hands on these bytes, piece by piece, and takes down what is written to it. */
function fakePort(pieces: readonly string[], breaks = false): SerialLike & { written: string[] } {
  const written: string[] = []
  let at = 0
  return {
    written,
    open: () => Promise.resolve(),
    close: () => Promise.resolve(),
    readable: new ReadableStream<Uint8Array>({
      pull(controller) {
        const piece = pieces[at++]
        if (piece !== undefined) controller.enqueue(new TextEncoder().encode(piece))
        else if (breaks) controller.error(new Error('The cable was pulled.'))
        else controller.close()
      },
    }),
    writable: new WritableStream<Uint8Array>({
      write: (chunk) => void written.push(new TextDecoder().decode(chunk)),
    }),
  }
}

async function heard(pieces: readonly string[], breaks = false): Promise<ScaleFrame[]> {
  const stream = new FrameStream()
  const frames: ScaleFrame[] = []
  const port = new SerialScalePort(() => Promise.resolve(fakePort(pieces, breaks)))
  await new Promise<void>((resolve) => void port.open((piece) => frames.push(...stream.push(piece)), resolve))
  return frames
}

test('frames that are split and joined by the cable arrive whole', async () => {
  const frames = await heard(['steady gro', 'ss +44.0 g\r\nmov', 'ing gross +12.', '5 g\r\noverload\r\n'])
  expect(frames.map((frame) => frame.code)).toEqual(['weight', 'weight', 'overload'])
  expect(frames[0]).toMatchObject({ steady: true, grams: 44 })
})

test('a cable that is pulled ends it without a fault', async () => {
  expect(await heard(['steady gross +44.0 g\n', 'steady gr'], true)).toHaveLength(1)
})

test('what is asked of the scale goes out as a line', async () => {
  const fake = fakePort([])
  const port = new SerialScalePort(() => Promise.resolve(fake))
  await port.open(
    () => undefined,
    () => undefined,
  )
  await port.send('untare')
  expect(fake.written).toEqual(['untare\r\n'])
})

test('no port chosen is told to whoever asked', async () => {
  const port = new SerialScalePort(() => Promise.reject(new Error('none chosen')))
  await expect(
    port.open(
      () => undefined,
      () => undefined,
    ),
  ).rejects.toThrow('none chosen')
})
