import { Box } from '@chakra-ui/react';
import { useState } from 'react';
import { printMinutes } from '@rubbet/core/measure';
import { judgeAct, lifeOf } from '@rubbet/core/order';
import type { Method } from '@rubbet/core/steps';
import type { PriceSheet } from '../../data/types.ts';
import { useShow } from '../../data/useShow.tsx';
import { useNotice } from '../../parts/Notice.tsx';
import { Soft, Title } from '../../parts/Text.tsx';
import { useStation } from './OrderPage.tsx';

/** How methods are called. */
export const METHOD_NAMES: Readonly<Record<Method, string>> = {
  whole: 'Whole',
  panels: 'As panels',
  'on-site': 'On site',
  kit: 'As a kit',
};

/** Each way in which it may be made and brought, side by side; choosing one counts the order anew by it. */
export const MethodTable = ({ data }: { readonly data: PriceSheet }) => {
  const show = useShow();
  const { order, write } = useStation();
  const { tell, fail } = useNotice();
  const [busy, setBusy] = useState(false);
  const refused = judgeAct(lifeOf(order), 'method').refusal;
  const choose = async (method: Method): Promise<void> => {
    setBusy(true);
    try {
      await write('', 'PATCH', { version: order.version, method: method === data.proposed ? null : method });
      tell(`${METHOD_NAMES[method]}: hours, trips and price are counted by it.`);
    } catch (e) {
      fail(e);
    } finally {
      setBusy(false);
    }
  };
  const chosen = data.methods.find((m) => m.method === data.method);
  return (
    <Box>
      <Title mb={2}>How it is made and brought</Title>
      <Box mb={2}>
        {data.method === data.proposed
          ? show.text(data.why)
          : `Decided here; proposed is ${METHOD_NAMES[data.proposed].toLowerCase()}: ${show.text(data.why)}`}
      </Box>
      <table className="methods">
        <thead>
          <tr>
            <th>Way</th>
            <th className="num">Shop</th>
            <th className="num">Site</th>
            <th className="num">Trips</th>
            <th className="num">Net</th>
          </tr>
        </thead>
        <tbody>
          {data.methods.map((m) => (
            <tr key={m.method} data-method={m.method} data-possible={m.possible}>
              <td>
                <label style={{ display: 'flex', gap: 8, alignItems: 'center', minHeight: 32 }}>
                  <input
                    type="radio"
                    name="method"
                    checked={m.method === data.method}
                    disabled={busy || refused !== undefined || !m.possible}
                    onChange={() => void choose(m.method)}
                  />
                  <span className={m.method === data.method ? 'cond' : ''} style={{ whiteSpace: 'nowrap' }}>
                    {METHOD_NAMES[m.method]}
                  </span>
                </label>
              </td>
              {m.possible ? (
                <>
                  <td className="num">{printMinutes(m.shop)}</td>
                  <td className="num">
                    {printMinutes(m.site)}
                    {m.siteDays > 1 && <Soft> {m.siteDays} d</Soft>}
                  </td>
                  <td className="num">
                    {m.trips}
                    {m.nights > 0 && <Soft> {m.nights} n</Soft>}
                  </td>
                  <td className="num">{show.money(m.net, true)}</td>
                </>
              ) : (
                <td colSpan={4}>
                  <Soft>{show.text(m.reasons[0] ?? '')}</Soft>
                </td>
              )}
            </tr>
          ))}
        </tbody>
      </table>
      {chosen && !chosen.possible && (
        <Box mt={2} bg="amberwash" borderLeft="4px solid" borderColor="amber" px={3} py={2}>
          {show.text(chosen.reasons[0] ?? '')}
        </Box>
      )}
      {chosen && chosen.customer > 0 && (
        <Soft display="block" mt={2}>
          The customer's own work: {printMinutes(chosen.customer)}.
        </Soft>
      )}
      {refused && (
        <Soft display="block" mt={2}>
          {refused.why}
        </Soft>
      )}
    </Box>
  );
};
