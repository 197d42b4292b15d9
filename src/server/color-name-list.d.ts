declare module 'color-name-list/bestof' {
  export const colornames: readonly { readonly name: string; readonly hex: string }[]
}
