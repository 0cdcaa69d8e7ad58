import { Box, chakra } from '@chakra-ui/react';
import type { ReactNode } from 'react';
import { splitLength } from '@rubbet/core/measure';
import { useShow } from '../data/useShow.tsx';

/** A page's or part's heading. */
export const Title = chakra('h1', {
  base: { fontFamily: 'heading', fontStretch: '84%', fontWeight: 680, fontSize: '21px', lineHeight: 1.2 },
});
export const Heading = chakra('h2', {
  base: { fontFamily: 'heading', fontStretch: '84%', fontWeight: 660, fontSize: '17px', lineHeight: 1.25 },
});
export const Soft = chakra('span', { base: { color: 'soft', fontSize: '14px' } });

/** A length with its real fraction, in the reader's units. */
export const Len = ({ inches, feet = false }: { readonly inches: number; readonly feet?: boolean }) => {
  const { style, denominator } = useShow().units;
  if (style === 'mm') return <>{Math.round(inches * 25.4)} mm</>;
  const p = splitLength(inches, denominator, feet || style === 'feet-inches' ? 'feet-inches' : 'inches');
  const bare = p.whole === 0 && p.numerator > 0;
  return (
    <span style={{ whiteSpace: 'nowrap' }}>
      {p.negative ? '−' : ''}
      {p.feet > 0 ? `${p.feet}′ ` : ''}
      {bare || (p.feet > 0 && p.whole === 0 && p.numerator === 0) ? '' : p.whole}
      {p.numerator > 0 && (
        <>
          {bare ? '' : '\u2009'}
          <span className="frac">
            {p.numerator}/{p.denominator}
          </span>
        </>
      )}
      {p.feet > 0 && p.whole === 0 && p.numerator === 0 ? '' : '″'}
    </span>
  );
};

/** Text of the core in the reader's units, with its `64 1/2"` set as a real fraction. */
export const WithFractions = ({ text }: { readonly text: string }) => <Set text={useShow().text(text)} />;

const Set = ({ text }: { readonly text: string }) => (
  <>
    {text.split(/(\d+\/\d+)/).map((piece, i) =>
      i % 2 === 1 ? (
        <span key={i} className="frac">
          {piece}
        </span>
      ) : (
        piece.replace(/(\d ?)"/g, '$1″').replace(/^"/, '″')
      ),
    )}
  </>
);

/** A leading number with what it means under it. */
export const Figure = ({
  label,
  value,
  children,
  tone,
}: {
  readonly label: string;
  readonly value: ReactNode;
  readonly children?: ReactNode;
  readonly tone?: 'keel' | 'moss' | 'amber';
}) => (
  <Box minW={0}>
    <Soft>{label}</Soft>
    <Box fontFamily="heading" fontStretch="85%" fontWeight={650} fontSize="25px" lineHeight={1.15}>
      {value}
    </Box>
    <Box color={tone ?? 'soft'} fontSize="13.5px" lineHeight={1.25}>
      {children}
    </Box>
  </Box>
);
