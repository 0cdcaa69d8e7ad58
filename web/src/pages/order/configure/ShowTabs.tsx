import { chakra } from '@chakra-ui/react';

/** How much of a unit the picture shows. */
export type Show = 'frame' | 'finished' | 'apart';
const SHOWS: readonly (readonly [Show, string])[] = [
  ['frame', 'Frame'],
  ['finished', 'Finished'],
  ['apart', 'Apart'],
];

const ShowTab = chakra('button', {
  base: {
    fontFamily: 'heading',
    fontStretch: '82%',
    fontWeight: 500,
    fontSize: '15px',
    color: 'soft',
    pb: '3px',
    borderBottom: '3px solid transparent',
    '&[aria-pressed=true]': { color: 'ink', fontWeight: 650, borderColor: 'ink' },
  },
});

/** Frame, finished or taken apart. */
export const ShowTabs = ({ show, onShow }: { readonly show: Show; readonly onShow: (show: Show) => void }) => (
  <>
    {SHOWS.map(([key, name]) => (
      <ShowTab key={key} aria-pressed={show === key} onClick={() => onShow(key)}>
        {name}
      </ShowTab>
    ))}
  </>
);
