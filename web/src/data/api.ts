/** A failed request, with the server's code and its sentence for people. */
export class ApiError extends Error {
  constructor(
    readonly status: number,
    readonly code: string,
    message: string,
    readonly body: Readonly<Record<string, unknown>> = {},
  ) {
    super(message);
    this.name = 'ApiError';
  }
}

/** Calls the server under /api; throws ApiError with a sentence that can be shown as it is. */
export const api = async <T>(
  path: string,
  options: { readonly method?: string; readonly body?: unknown } = {},
): Promise<T> => {
  let response: Response;
  try {
    response = await fetch(`/api${path}`, {
      method: options.method ?? 'GET',
      credentials: 'same-origin',
      ...(options.body === undefined
        ? {}
        : { headers: { 'content-type': 'application/json' }, body: JSON.stringify(options.body) }),
    });
  } catch {
    throw new ApiError(
      0,
      'offline',
      'The shop’s server does not answer. What you typed is still here; try again in a moment.',
    );
  }
  if (response.status === 204) return undefined as T;
  const text = await response.text();
  const body = text.startsWith('{') || text.startsWith('[') ? (JSON.parse(text) as Record<string, unknown>) : {};
  if (!response.ok)
    throw new ApiError(
      response.status,
      String(body.code ?? 'failed'),
      String(body.message ?? 'That did not work; try again.'),
      body,
    );
  return body as T;
};

/** SWR's fetcher. */
export const fetcher = <T>(path: string): Promise<T> => api<T>(path);
