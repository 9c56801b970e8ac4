import { contrast } from '@core/color/contrast';
import { theme as components } from 'antd';
import { describe, expect, it } from 'vitest';
import { look } from './look';
import { theme } from './theme';

/** WCAG 2.1, 1.4.3: text reads from 4.5 to 1 on. */
const READS = 4.5;

describe('text on its grounds', () => {
  it('reads on what is chosen in a list, as the component library will paint it', () => {
    const token = components.getDesignToken(theme);
    for (const ground of [token.controlItemBgActive, token.controlItemBgActiveHover, token.colorPrimaryBg])
      expect(contrast(token.colorText, ground)).toBeGreaterThanOrEqual(READS);
    expect(contrast(token.colorTextPlaceholder, token.colorBgContainer)).toBeGreaterThanOrEqual(READS);
  });
  it.each(['sheet', 'sheet-dim', 'plaster', 'clay-pale', 'brick-pale', 'blueprint-pale'] as const)(
    'every ink reads on %s',
    (ground) => {
      for (const ink of ['ink', 'ink-2', 'ink-3'] as const)
        expect(contrast(look[ink], look[ground]), `${ink} on ${ground}`).toBeGreaterThanOrEqual(READS);
    },
  );
  it('ink reads on the tape, and the sheet on ink', () => {
    expect(contrast(look.ink, look.tape)).toBeGreaterThanOrEqual(READS);
    expect(contrast(look.sheet, look.ink)).toBeGreaterThanOrEqual(READS);
  });
});
