import { Box } from '@chakra-ui/react';
import { useState } from 'react';
import useSWR from 'swr';
import { findItem } from '@rubbet/core/stock';
import { moment } from '../../data/days.ts';
import { useMe } from '../../data/hooks.ts';
import { isInShop } from '../../data/roles.ts';
import type { LedgerEntry, RackLine } from '../../data/types.ts';
import { useShow } from '../../data/useShow.tsx';
import { QuietButton } from '../../parts/Button.tsx';
import { Empty, Loading } from '../../parts/Loading.tsx';
import { Heading, Len, Soft } from '../../parts/Text.tsx';
import { feetOf, sizeOf } from './sizes.ts';

/** A bundle of equal sticks seen from its end: as many ends as there are, up to a stack that still reads. */
const Bundle = ({ line }: { readonly line: RackLine }) => {
  const item = findItem(line.item);
  const [t, w] = item.kind === 'lumber' ? [item.thickness, item.width] : [1, 8];
  const per = Math.max(6, Math.min(18, Math.floor(30 / t)));
  const shown = Math.min(line.quantity, per * 6);
  const end = w * 0.5;
  const rows = Math.ceil(shown / per);
  const scale = 4;
  const fill =
    item.kind === 'lumber'
      ? item.treated
        ? 'treated'
        : 'wood'
      : item.kind === 'roofing'
        ? 'metal'
        : item.kind === 'mesh'
          ? 'mesh'
          : 'ply';
  return (
    <svg
      viewBox={`0 0 ${per * t + 0.6} ${rows * end + 0.6}`}
      width={(per * t + 0.6) * scale}
      height={(rows * end + 0.6) * scale}
      role="img"
      aria-label={`A bundle of ${line.quantity}`}
      style={{ display: 'block' }}
    >
      {Array.from({ length: shown }, (_, i) => (
        <rect
          key={i}
          x={(i % per) * t + 0.3}
          y={(rows - 1 - Math.floor(i / per)) * end + 0.3}
          width={t}
          height={end}
          // What batches have spoken for is drawn lighter.
          opacity={i >= shown - Math.min(shown, line.reserved) ? 0.45 : 1}
          fill={`var(--rb-colors-${fill})`}
          stroke="var(--rb-colors-woodink)"
          strokeWidth={0.22}
        />
      ))}
    </svg>
  );
};

const KINDS = [
  ['lumber', 'Lumber'],
  ['sheet', 'Sheets'],
  ['mesh', 'Mesh'],
  ['roofing', 'Roofing'],
  ['piece', 'Pieces'],
  ['hardware', 'Hardware'],
] as const;

const KIND_WORDS: Readonly<Record<LedgerEntry['kind'], string>> = {
  received: 'came',
  cut: 'cut',
  used: 'used',
  returned: 'back from the saw',
  spoiled: 'spoiled',
  counted: 'counted',
  corrected: 'put right',
};

/** What a piece of an item is drawn in. */
const colorOf = (item: string): string => {
  const { kind } = findItem(item);
  return item.endsWith('-pt') ? 'treated' : kind === 'sheet' ? 'ply' : kind === 'mesh' ? 'tapeoff' : 'wood';
};

/** The newest entries of the ledger: what came, what went, who said so. */
const Ledger = () => {
  const show = useShow();
  const { data, error } = useSWR<LedgerEntry[], Error>('/rack/ledger');
  if (error && !data) throw error;
  if (!data) return <Loading />;
  return (
    <Box overflowX="auto" maxH="70vh" overflowY="auto">
      <table>
        <thead>
          <tr>
            <th>When</th>
            <th>What</th>
            <th className="num">Change</th>
            <th>Why</th>
            <th>Who</th>
          </tr>
        </thead>
        <tbody>
          {data.map((e) => (
            <tr key={e.id}>
              <td style={{ whiteSpace: 'nowrap' }}>{moment(e.at)}</td>
              <td>
                {findItem(e.item).name} {e.length === null ? '' : feetOf(show, e.length)} <Soft>{e.mark}</Soft>
              </td>
              <td className="num cond">
                {e.change > 0 ? '+' : '−'}
                {Math.abs(e.change)}
              </td>
              <td>
                {KIND_WORDS[e.kind]}
                {e.why && !e.why.startsWith('counted') ? <Soft>, {e.why}</Soft> : null}
              </td>
              <td>{e.by}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </Box>
  );
};

/** What stands on the rack: bundles by size and length, offcuts with their marks, and the ledger that says why. */
export const Rack = () => {
  const show = useShow();
  const { me } = useMe();
  const [ledger, setLedger] = useState(false);
  const { data, error } = useSWR<RackLine[], Error>('/rack');
  if (error && !data) throw error;
  if (!data) return <Loading />;
  const whole = data.filter((l) => l.mark === '');
  const offcuts = data.filter((l) => l.mark !== '');
  const may = isInShop(me);
  return (
    <>
      {data.length === 0 && <Empty>The rack is empty.</Empty>}
      <Box
        display="grid"
        gridTemplateColumns={{
          base: 'minmax(0,1fr)',
          lg: ledger ? 'minmax(0,1fr) minmax(0,1.15fr)' : 'minmax(0,1.6fr) minmax(0,1fr)',
        }}
        gap={10}
      >
        <Box>
          {KINDS.map(([kind, name]) => {
            const mine = whole.filter((l) => findItem(l.item).kind === kind);
            if (mine.length === 0) return null;
            const drawn = kind !== 'hardware' && kind !== 'piece';
            return (
              <Box key={kind} mb={6}>
                <Heading mb={1}>{name}</Heading>
                <table>
                  <thead>
                    <tr>
                      {drawn && <th>Bundle</th>}
                      <th>Item</th>
                      <th className="num">Size</th>
                      <th className="num">There are</th>
                      <th className="num">Spoken for</th>
                      <th>Place</th>
                    </tr>
                  </thead>
                  <tbody>
                    {mine.map((l) => (
                      <tr key={l.id} data-stock={l.id}>
                        {drawn && (
                          <td style={{ paddingBottom: 2 }}>
                            <Bundle line={l} />
                          </td>
                        )}
                        <td>{findItem(l.item).name}</td>
                        <td className="num">{sizeOf(show, l)}</td>
                        <td className="num cond" style={{ fontSize: 18 }}>
                          {l.quantity}
                        </td>
                        <td className="num">{l.reserved === 0 ? '' : l.reserved}</td>
                        <td>{l.place}</td>
                      </tr>
                    ))}
                  </tbody>
                </table>
              </Box>
            );
          })}
        </Box>
        <Box>
          {may && (
            <Box mb={4}>
              <QuietButton aria-pressed={ledger} onClick={() => setLedger(!ledger)}>
                {ledger ? 'Show the offcuts' : 'Show what came and went'}
              </QuietButton>
            </Box>
          )}
          {ledger ? (
            <Ledger />
          ) : (
            <>
              <Heading mb={1}>Offcuts</Heading>
              <Soft>Marked at the end grain, the oldest used first.</Soft>
              {offcuts.map((l) => (
                <Box
                  key={l.id}
                  display="grid"
                  gridTemplateColumns="58px minmax(0,1fr) 138px 62px"
                  gap={3}
                  alignItems="center"
                  py={2}
                  borderBottom="1px solid"
                  borderColor="hair"
                  data-stock={l.id}
                >
                  <span className="cond">{l.mark}</span>
                  <Box
                    height="20px"
                    bg={colorOf(l.item)}
                    border="1px solid"
                    borderColor="woodedge"
                    width={`${Math.min(100, l.length ?? 0)}%`}
                    opacity={l.reserved > 0 ? 0.45 : 1}
                  />
                  <span className="num">
                    {findItem(l.item).name} <Len inches={l.length ?? 0} />
                    {l.width === null ? (
                      ''
                    ) : (
                      <>
                        {' '}
                        × <Len inches={l.width} />
                      </>
                    )}
                  </span>
                  <Soft>
                    {l.place}
                    {l.quantity > 1 ? ` ×${l.quantity}` : ''}
                    {l.reserved > 0 ? ', taken' : ''}
                  </Soft>
                </Box>
              ))}
            </>
          )}
        </Box>
      </Box>
    </>
  );
};
