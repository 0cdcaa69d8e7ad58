import { Box } from '@chakra-ui/react';
import type { FoundationPlan, PadPlan } from '@rubbet/core/site';
import { useShow } from '../../data/useShow.tsx';
import { Heading, Len } from '../../parts/Text.tsx';

interface Stack {
  readonly blocks: number;
  readonly pavers: number;
  readonly shims: number;
  readonly dig: number;
}

/** What a place is stacked of, in words. */
export const stackWords = (s: Stack, length: (inches: number) => string): string =>
  [
    s.blocks ? `${s.blocks} ${s.blocks === 1 ? 'course' : 'courses'} of block` : '',
    s.pavers ? `${s.pavers} ${s.pavers === 1 ? 'paver' : 'pavers'}` : '',
    s.shims ? `${length(s.shims)} of shims` : '',
    s.dig ? `let in ${length(s.dig)}` : '',
  ]
    .filter(Boolean)
    .join(', ') || 'on the ground';

const Warnings = ({ of }: { readonly of: readonly string[] }) => {
  const show = useShow();
  return of.map((w) => (
    <Box key={w} mt={3} bg="amberwash" borderLeft="4px solid" borderColor="amber" px={3} py={2}>
      {show.text(w)}
    </Box>
  ));
};

/** Pads of the corners, where nothing is built yet. */
export const PadList = ({ plan }: { readonly plan: PadPlan }) => {
  const show = useShow();
  return (
    <>
      <table style={{ marginTop: 14 }}>
        <thead>
          <tr>
            <th>Pad</th>
            <th className="num">Ground lower by</th>
            <th className="num">Height</th>
            <th>Stack</th>
          </tr>
        </thead>
        <tbody>
          {plan.pads.map((p) => (
            <tr key={p.id} data-pad={p.id}>
              <td>{p.name}</td>
              <td className="num">
                <Len inches={p.drop} />
              </td>
              <td className="num cond" data-height={p.height}>
                <Len inches={p.height} />
              </td>
              <td>{stackWords(p, show.length)}</td>
            </tr>
          ))}
        </tbody>
      </table>
      <Warnings of={plan.warnings} />
    </>
  );
};

/** What carries the unit, place by place, what others pour, and what to bring. */
export const FoundationList = ({ plan }: { readonly plan: FoundationPlan }) => {
  const show = useShow();
  return (
    <>
      <Box mt={3} data-foundation={plan.kind}>
        {plan.why}
      </Box>
      {plan.benches.length > 1 && (
        <Box mt={2} color="soft">
          Each level is set from a mark of its own: {plan.benches.map((b) => show.text(b.name)).join(', ')}.
        </Box>
      )}
      {plan.supports.length > 0 && (
        <table style={{ marginTop: 14 }}>
          <thead>
            <tr>
              <th>Support</th>
              <th className="num">Ground lower by</th>
              <th className="num">Height</th>
              <th>Made of</th>
            </tr>
          </thead>
          <tbody>
            {plan.supports.map((s, i) => (
              <tr key={s.id} data-pad={s.id}>
                <td>
                  {i + 1}: {show.text(s.name)}
                </td>
                <td className="num">
                  <Len inches={Math.max(0, Math.round(-s.ground * 16) / 16)} />
                </td>
                <td className="num cond" data-height={s.height}>
                  <Len inches={s.height} />
                </td>
                <td>{stackWords(s, show.length)}</td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
      {plan.concrete.map((c) => (
        <Box key={c.kind} mt={4}>
          <Heading>{c.kind === 'slab' ? 'The slab, poured before we come' : 'The ring, poured before we come'}</Heading>
          <Len inches={c.length} /> by <Len inches={c.width} />, corner to corner <Len inches={c.diagonal} /> both ways
          within <Len inches={c.square} />, level within <Len inches={c.level} />;{' '}
          {c.wide === undefined ? (
            <>
              <Len inches={c.depth} /> thick
            </>
          ) : (
            <>
              <Len inches={c.wide} /> wide, <Len inches={c.depth} /> deep
            </>
          )}
          , {show.text(`about ${c.cubicYards} cubic yards`)}, {c.cureDays} days to cure, {c.anchors} anchors. {c.who}
        </Box>
      ))}
      {plan.buy.length > 0 && (
        <Box mt={4}>
          <Heading>It takes</Heading>
          {plan.buy.map((l) => `${l.count} × ${show.text(l.name)}`).join(', ')}
        </Box>
      )}
      <Warnings of={plan.warnings} />
    </>
  );
};
