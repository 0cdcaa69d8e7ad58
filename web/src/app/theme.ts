import { createSystem, defaultBaseConfig, defineConfig } from '@chakra-ui/react';

const pair = (base: string, dark: string) => ({ value: { base, _dark: dark } });

/** Paper and ink: the product's own tokens on the component library's system, with none of its stock recipes. */
export const system = createSystem(
  defaultBaseConfig,
  defineConfig({
    cssVarsPrefix: 'rb',
    preflight: false,
    theme: {
      breakpoints: { sm: '480px', md: '768px', lg: '1100px' },
      tokens: {
        fonts: {
          body: { value: "'Atkinson Hyperlegible Next Variable', sans-serif" },
          heading: { value: "'Archivo Variable', sans-serif" },
        },
        spacing: Object.fromEntries([1, 2, 3, 4, 5, 6, 8, 10, 12, 16].map((n) => [n, { value: `${n * 4}px` }])),
      },
      semanticTokens: {
        colors: {
          paper: pair('#F3F0E8', '#1A221E'),
          sheet: pair('#FBFAF5', '#212B26'),
          ink: pair('#1C2521', '#ECE8DC'),
          rail: pair('#1C2521', '#111714'),
          railtext: pair('#E9E6DB', '#E9E6DB'),
          railon: pair('#2B3731', '#26322C'),
          soft: pair('#5B6760', '#A6B0A8'),
          rule: pair('#CFC8B6', '#45514A'),
          hair: pair('#E3DDCE', '#323D37'),
          tick: pair('#C4BDA9', '#56625B'),
          dot: pair('#D9D4C5', '#38443D'),
          tape: pair('#F2C230', '#F2C230'),
          tapeink: pair('#2A2000', '#2A2000'),
          tapeedge: pair('#C99A14', '#C99A14'),
          tapeoff: pair('#E9E4D6', '#2C3631'),
          tapeofftext: pair('#625C4A', '#B5B7A8'),
          chalk: pair('#1F55A8', '#8AB4F2'),
          chalkfill: pair('#1F55A8', '#2E66BE'),
          chalkwash: pair('#DCE7F6', '#22344E'),
          keel: pair('#B03521', '#F0917E'),
          keelwash: pair('#F9E4DE', '#46291F'),
          amber: pair('#8A5100', '#F0BE6A'),
          amberwash: pair('#FBEFD3', '#423519'),
          moss: pair('#3C6B47', '#93C79F'),
          mosswash: pair('#D6E2D0', '#2A4231'),
          wood: pair('#E1C597', '#B99562'),
          wooddark: pair('#CFA86F', '#A37D4A'),
          woodedge: pair('#B08A4E', '#C9A26B'),
          woodink: pair('#241C0E', '#1A1409'),
          treated: pair('#BDBE92', '#8F9268'),
          ply: pair('#EBDCBD', '#BDAA82'),
          siding: pair('#D8CDB4', '#9C917A'),
          metal: pair('#B9C0BD', '#7E8985'),
          shingle: pair('#8F8A80', '#5D5A54'),
          mesh: pair('#8C948D', '#9AA59D'),
        },
      },
    },
  }),
);
