import { createElement } from 'react';
import { renderToStaticMarkup } from 'react-dom/server';
import { createMemoryRouter, RouterProvider } from 'react-router';
import { ChakraProvider } from '@chakra-ui/react';
import { SWRConfig } from 'swr';
import type { LengthStyle } from '@rubbet/core/measure';
import { system } from '../app/theme.ts';
import { ShowIn } from '../data/useShow.tsx';

/** What is drawn for a reader of one system, on a page of that address, with answers that are there already. */
export const html = (
  element: React.ReactElement,
  style: LengthStyle = 'inches',
  path = '/',
  answers: Readonly<Record<string, unknown>> = {},
): string =>
  renderToStaticMarkup(
    createElement(ChakraProvider, {
      value: system,
      children: createElement(SWRConfig, {
        value: { provider: () => new Map(), fallback: answers },
        children: createElement(ShowIn, {
          units: { style, denominator: 16 },
          children: createElement(RouterProvider, {
            router: createMemoryRouter([{ path: '*', element }], { initialEntries: [path] }),
          }),
        }),
      }),
    }),
  );

/** The words of some markup. */
export const plain = (markup: string): string =>
  markup
    .replace(/<style[\s\S]*?<\/style>/g, '')
    .replace(/<[^>]*>/g, ' ')
    .replace(/&quot;/g, '"')
    .replace(/&#x27;/g, "'")
    .replace(/&amp;/g, '&')
    .replace(/\s+/g, ' ');

/** Elements of a kind, each with its opening tag and its words. */
export const elements = (markup: string, tag: string): { readonly open: string; readonly words: string }[] =>
  [...markup.matchAll(new RegExp(`(<${tag}\\b[^>]*>)([\\s\\S]*?)</${tag}>`, 'g'))].map((m) => ({
    open: m[1] ?? '',
    words: plain(m[2] ?? '').trim(),
  }));
