import { FIRST_PICTURE_KB, scriptBeforeFirstPicture } from '../../scripts/firstPicture'
import { expect, test } from './driver'

test('the first picture stands without waiting for what it does not show', async ({ browser, baseURL }) => {
  const bytes = await scriptBeforeFirstPicture(browser, baseURL ?? '')
  expect(bytes / 1024).toBeLessThanOrEqual(FIRST_PICTURE_KB)
})
