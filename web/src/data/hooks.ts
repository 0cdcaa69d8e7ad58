import useSWR from 'swr';
import { BUSINESS_RULES, UNDONE_WORDS } from '@rubbet/core/order';
import type { BusinessRules, Undone } from '@rubbet/core/order';
import { useAsk } from '../parts/Ask.tsx';
import { api, ApiError } from './api.ts';
import type { BoardData, Me, Order, SettingsData } from './types.ts';

/** The signed-in person. */
export const useMe = () => {
  const { data, error, isLoading } = useSWR<Me, ApiError>('/session');
  return { me: data, error, isLoading };
};

/** The business's rules; the trade's defaults until they are here. */
export const useRules = (): BusinessRules => useSWR<SettingsData>('/settings').data?.rules ?? BUSINESS_RULES;

/** Writes to an order; the answer is the order as it is then. */
export type WriteOrder = (path: string, method: string, body: Readonly<Record<string, unknown>>) => Promise<Order>;

/** Keeps something that was made on a version of the order. */
export type KeepOrder = (
  path: string,
  method: string,
  body: (order: Order) => Readonly<Record<string, unknown>>,
  unchanged: (fresh: Order) => boolean,
) => Promise<Order>;

/**
 * One order, and ways to write it. What would take something away is asked first, in words. `keep` is for what a person worked
 * on for a while: where somebody changed another thing of the order meanwhile, it is kept all the same.
 */
export const useOrder = (id: string | number) => {
  const { data, error, mutate } = useSWR<Order, ApiError>(`/orders/${id}`);
  const ask = useAsk();
  const send: WriteOrder = async (path, method, body) => {
    const next = await api<Order>(`/orders/${id}${path}`, { method, body });
    await mutate(next, { revalidate: false });
    return next;
  };
  const write: WriteOrder = async (path, method, body) => {
    try {
      return await send(path, method, body);
    } catch (e) {
      if (!(e instanceof ApiError)) throw e;
      // Whoever is late sees what stands there now.
      if (e.code === 'stale') await mutate();
      if (e.code !== 'asks') throw e;
      const undo = e.body.undoes as readonly Undone[];
      const answer = await ask({
        title: 'This takes something away',
        lines: undo.map((u) => UNDONE_WORDS[u]),
        yes: 'Do it all the same',
      });
      if (!answer) throw new Error('Nothing was changed.');
      return send(path, method, { ...body, undo });
    }
  };
  const keep: KeepOrder = async (path, method, body, unchanged) => {
    if (!data) throw new Error('The order is not here yet; try again in a moment.');
    try {
      return await write(path, method, body(data));
    } catch (e) {
      if (!(e instanceof ApiError) || e.code !== 'stale') throw e;
      const fresh = await api<Order>(`/orders/${id}`);
      await mutate(fresh, { revalidate: false });
      if (!unchanged(fresh)) throw e;
      return write(path, method, body(fresh));
    }
  };
  return { order: data, error, write, keep, reload: mutate };
};

/** The crew board. */
export const useBoard = () => useSWR<BoardData, ApiError>('/board');
