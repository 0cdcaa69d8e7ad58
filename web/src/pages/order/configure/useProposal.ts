import { useNavigate } from 'react-router';
import type { Spec } from '@rubbet/core/model';
import { api } from '../../../data/api.ts';
import type { Order } from '../../../data/types.ts';
import { useAsk } from '../../../parts/Ask.tsx';
import { useNotice } from '../../../parts/Notice.tsx';

/** What is being built is changed by a change order: whether this one is, and the way to propose one. */
export const useProposal = (order: Order, busy: (on: boolean) => void, done: () => void) => {
  const ask = useAsk();
  const navigate = useNavigate();
  const { tell, fail } = useNotice();
  const propose = async (spec: Spec): Promise<void> => {
    const said = await ask({
      title: 'Propose a change order',
      lines: [
        'It is being built: nothing is changed yet.',
        'You see what of the cut and built still fits, what is scrap, hours and money, and then accept or refuse it.',
      ],
      yes: 'Propose it',
      reason: 'What is changed, and who asked for it',
    });
    if (!said) return;
    busy(true);
    try {
      await api(`/orders/${order.id}/changes`, { method: 'POST', body: { spec, note: said.why } });
      done();
      await navigate(`/orders/${order.id}/bench`);
      tell('The change is proposed; accept or refuse it below.');
    } catch (error) {
      fail(error);
    } finally {
      busy(false);
    }
  };
  return { proposes: order.workOrder?.touched === true && order.accepted !== null, propose };
};
