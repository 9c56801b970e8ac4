import type { ThemeConfig } from 'antd';

const ink = '#1d2b3a';

/** The component library in our look; values are those of tokens.css. */
export const theme: ThemeConfig = {
  token: {
    colorPrimary: ink,
    colorInfo: '#2b5d8a',
    colorLink: '#2b5d8a',
    colorSuccess: '#3f6b4a',
    colorWarning: '#9c5413',
    colorError: '#a33b2b',
    colorText: ink,
    colorTextSecondary: '#4d5b68',
    colorTextTertiary: '#5f6b76',
    colorTextPlaceholder: '#6b7680',
    colorBorder: '#aab4bb',
    colorBorderSecondary: '#d5dad7',
    colorBgLayout: '#f4f5f2',
    borderRadius: 3,
    borderRadiusLG: 3,
    borderRadiusSM: 3,
    fontFamily: '"Figtree Variable", "Figtree", sans-serif',
    fontSize: 14,
    controlHeight: 32,
    motionDurationMid: '0.12s',
    motionDurationSlow: '0.16s',
  },
  components: {
    Button: { fontWeight: 600, defaultBorderColor: ink, primaryShadow: 'none', defaultShadow: 'none' },
    Form: { itemMarginBottom: 14, verticalLabelPadding: '0 0 3px' },
    Modal: { titleFontSize: 18 },
  },
};
