import { Box } from '@chakra-ui/react';
import { useMemo } from 'react';
import { compareBuilds } from '@rubbet/core/unit';
import type { Build } from '@rubbet/core/unit';
import { findItem } from '@rubbet/core/stock';
import { Len, Soft } from './Text.tsx';

/** What differs between two builds, part by part: what is cut otherwise, what comes and what goes. */
export const Difference = ({ before, after }: { readonly before: Build; readonly after: Build }) => {
  const d = useMemo(() => compareBuilds(before, after), [before, after]);
  if (d.added.length + d.removed.length + d.changed.length === 0) return <Soft>Every part is the same.</Soft>;
  const rows = [
    ...d.changed.map((c) => ({
      key: `c${c.parts[0] ?? ''}`,
      sign: '≠',
      name: c.name,
      n: c.after.quantity,
      from: c.before,
      to: c.after,
    })),
    ...d.removed.map((p) => ({
      key: `r${p.parts[0] ?? ''}`,
      sign: '−',
      name: p.name,
      n: p.quantity,
      from: p,
      to: undefined,
    })),
    ...d.added.map((p) => ({
      key: `a${p.parts[0] ?? ''}`,
      sign: '+',
      name: p.name,
      n: p.quantity,
      from: undefined,
      to: p,
    })),
  ];
  return (
    <Box
      maxH="380px"
      overflow="auto"
      data-difference={rows.length}
      tabIndex={0}
      role="region"
      aria-label="What differs, part by part"
    >
      <table>
        <thead>
          <tr>
            <th />
            <th>Part</th>
            <th className="num">Was</th>
            <th className="num">Is</th>
          </tr>
        </thead>
        <tbody>
          {rows.map((r) => (
            <tr key={r.key}>
              <td className="cond">{r.sign}</td>
              <td>
                {r.n > 1 ? `${r.n} × ` : ''}
                {r.name}
                {r.from && r.to && r.from.item !== r.to.item ? (
                  <Soft>
                    {' '}
                    {findItem(r.from.item).name} → {findItem(r.to.item).name}
                  </Soft>
                ) : (
                  <Soft> {findItem((r.to ?? r.from)?.item ?? '').name}</Soft>
                )}
              </td>
              <td className="num">{r.from && <Len inches={r.from.length} />}</td>
              <td className="num">{r.to && <Len inches={r.to.length} />}</td>
            </tr>
          ))}
        </tbody>
      </table>
      <Soft>{d.same} parts are the same.</Soft>
    </Box>
  );
};
