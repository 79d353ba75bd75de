import type { Locator, Page } from '@playwright/test'

export function drawPaper(page: Page, base: string, path: string, scale?: number): Promise<Locator>
