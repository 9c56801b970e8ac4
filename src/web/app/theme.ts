import type { ThemeConfig } from 'antd';
import { look } from './look';

const radius = Number.parseInt(look.radius, 10);

/** The component library in our look. */
export const theme: ThemeConfig = {
  token: {
    colorPrimary: look.ink,
    colorInfo: look.blueprint,
    colorLink: look.blueprint,
    colorSuccess: look.moss,
    colorWarning: look.clay,
    colorError: look.brick,
    colorText: look.ink,
    colorTextSecondary: look['ink-2'],
    colorTextTertiary: look['ink-3'],
    colorTextPlaceholder: look['ink-4'],
    colorBorder: look['line-deep'],
    colorBorderSecondary: look.line,
    colorBgLayout: look.plaster,
    // What is chosen in a list keeps the ink readable on it.
    colorPrimaryBg: look['blueprint-pale'],
    controlItemBgActive: look['blueprint-pale'],
    controlItemBgActiveHover: look['blueprint-pale'],
    borderRadius: radius,
    borderRadiusLG: radius,
    borderRadiusSM: radius,
    fontFamily: look.sans,
    fontSize: 14,
    controlHeight: 32,
    motionDurationMid: '0.12s',
    motionDurationSlow: '0.16s',
  },
  components: {
    Button: { fontWeight: 600, defaultBorderColor: look.ink, primaryShadow: 'none', defaultShadow: 'none' },
    Form: { itemMarginBottom: 14, verticalLabelPadding: '0 0 3px' },
    Modal: { titleFontSize: 18 },
  },
};
