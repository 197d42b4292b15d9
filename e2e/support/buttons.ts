import type { Locator, Page } from '@playwright/test'

/** A button by its name. */
export const button = (page: Page, name: string | RegExp): Locator => page.getByRole('button', { name })
