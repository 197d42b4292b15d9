/** A way to a scale, real or simulated: text comes in pieces, lines can be sent. */
export interface ScalePort {
  /** Opens it and hands on whatever text comes, until it ends. Rejects where it cannot be opened. */
  open(heard: (piece: string) => void, ended: () => void): Promise<void>
  /** Asks something of it, for instance to take its tare off. */
  send(line: string): Promise<void>
  close(): Promise<void>
}
