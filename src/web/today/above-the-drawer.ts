/** What can lie open above the drawer. */
export type AboveTheDrawer = 'elsewhere' | 'put-back' | 'faces' | 'details'
