/** Naive UI in the colours of paper and graphite. */
import type { GlobalThemeOverrides } from 'naive-ui'

const accent = '#92310f'
const accentHover = '#a83c17'

export const themeOverrides: GlobalThemeOverrides = {
  common: {
    fontFamily: 'Andika, sans-serif',
    fontFamilyMono: 'Andika, sans-serif',
    fontSize: '15px',
    fontSizeMedium: '15px',
    fontSizeSmall: '14px',
    fontWeightStrong: '700',
    borderRadius: '5px',
    primaryColor: accent,
    primaryColorHover: accentHover,
    primaryColorPressed: '#7a280b',
    primaryColorSuppl: accentHover,
    errorColor: '#b3361b',
    warningColor: '#9a6a00',
    successColor: '#2f6650',
    infoColor: '#2c5590',
    textColorBase: '#23262b',
    textColor1: '#23262b',
    textColor2: '#23262b',
    textColor3: '#4d5157',
    placeholderColor: '#6f6b64',
    bodyColor: '#d2c9b8',
    cardColor: '#fdfbf5',
    modalColor: '#f4efe4',
    popoverColor: '#fdfbf5',
    inputColor: '#fdfbf5',
    tableColor: '#fdfbf5',
    tableHeaderColor: '#ece5d6',
    borderColor: '#bdb29c',
    dividerColor: '#cfc5b2',
  },
  Button: { fontWeight: '700', heightMedium: '38px', paddingMedium: '0 16px' },
  Card: { borderColor: '#cfc5b2', titleFontWeight: '700', titleFontSizeMedium: '17px' },
  Dialog: { titleFontWeight: '700' },
}
