/** The look: colours named after dyes, two faces, in Ant Design's tokens. */
import type { ThemeConfig } from 'antd'

export const DYES = {
  linen: '#F6F1E7',
  paper: '#FFFDF8',
  rule: '#D9CFBD',
  edge: '#8A7A66',
  ink: '#1F2A37',
  walnut: '#5E4634',
  indigo: '#2B3F6B',
  verdigris: '#2A6A5F',
  weld: '#8F6510',
  weldFill: '#E2B13C',
  madder: '#9C3428',
} as const

const TEXT_FACE = "'Source Sans 3', 'Segoe UI', sans-serif"

export const THEME: ThemeConfig = {
  cssVar: { key: 'lemmata' },
  token: {
    colorPrimary: DYES.indigo,
    colorInfo: DYES.indigo,
    colorLink: DYES.indigo,
    colorSuccess: DYES.verdigris,
    colorWarning: DYES.weld,
    colorError: DYES.madder,
    colorText: DYES.ink,
    colorTextSecondary: DYES.walnut,
    colorTextTertiary: DYES.walnut,
    colorTextDescription: DYES.walnut,
    colorTextPlaceholder: '#77644F',
    colorBgBase: DYES.paper,
    colorBgLayout: DYES.linen,
    colorBorder: DYES.edge,
    colorBorderSecondary: DYES.rule,
    fontFamily: TEXT_FACE,
    fontSize: 15,
    borderRadius: 4,
    wireframe: false,
    motion: false,
    controlHeight: 34,
    boxShadow: '0 1px 2px rgba(31,42,55,0.10)',
    boxShadowSecondary: '0 2px 10px rgba(31,42,55,0.16)',
  },
  components: {
    Button: { primaryShadow: 'none', defaultShadow: 'none', fontWeight: 600 },
    Table: { headerBg: DYES.linen, headerColor: DYES.walnut, cellPaddingBlock: 8, cellPaddingInline: 10 },
    Form: { itemMarginBottom: 12, labelColor: DYES.walnut, verticalLabelPadding: '0 0 2px' },
    Segmented: { itemSelectedBg: DYES.indigo, itemSelectedColor: DYES.paper, trackBg: '#EDE5D4' },
  },
}
