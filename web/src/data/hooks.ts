import useSWR from 'swr';
import { BUSINESS_RULES } from '@rubbet/core/order';
import type { BusinessRules } from '@rubbet/core/order';
import { api } from './api.ts';
import type { ApiError } from './api.ts';
import type { BoardData, Me, Order, SettingsData } from './types.ts';

/** The signed-in person. */
export const useMe = () => {
  const { data, error, isLoading } = useSWR<Me, ApiError>('/session');
  return { me: data, error, isLoading };
};

/** The business's rules; the trade's defaults until they are here. */
export const useRules = (): BusinessRules => useSWR<SettingsData>('/settings').data?.rules ?? BUSINESS_RULES;

/** One order, and a way to write it: the answer of every write is the order as it is now. */
export const useOrder = (id: string | number) => {
  const { data, error, mutate } = useSWR<Order, ApiError>(`/orders/${id}`);
  const write = async (path: string, method: string, body: unknown): Promise<Order> => {
    const next = await api<Order>(`/orders/${id}${path}`, { method, body });
    await mutate(next, { revalidate: false });
    return next;
  };
  return { order: data, error, write, reload: mutate };
};

/** The crew board. */
export const useBoard = () => useSWR<BoardData, ApiError>('/board');
