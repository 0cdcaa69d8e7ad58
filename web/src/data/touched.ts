/** Lists that follow any change of an order. */
const LISTS = ['/orders', '/today', '/board', '/road'];

/** What of the server's answers a change of something touches: addresses, without what stands behind a question mark. */
export const keysTouched = (entity: string, id: string): string[] => {
  switch (entity) {
    case 'order':
    case 'visit':
      return [...LISTS, `/orders/${id}`, `/orders/${id}/changes`];
    case 'operation':
      return ['/board', '/today', `/orders/${id.split('/')[0] ?? ''}`];
    case 'part':
    case 'step': {
      // Named by their order and themselves.
      const of = id.split('/')[0] ?? '';
      return ['/board', '/today', '/orders', `/orders/${of}`, `/orders/${of}/work-order`];
    }
    case 'customer':
    case 'site':
      return ['/customers', ...(entity === 'customer' ? [`/customers/${id}`] : [])];
    case 'model':
      return ['/models', `/models/${id}`];
    case 'crew':
    case 'bay':
      return ['/crews', '/board'];
    case 'trailer':
    case 'vehicle':
      return ['/fleet', '/road'];
    case 'batch':
      return ['/batches', `/batches/${id}`, '/batches/to-cut', '/rack', '/rack/ledger', '/orders', '/board'];
    case 'rack':
      return ['/rack', '/rack/ledger', '/items'];
    case 'item':
    case 'supplier':
      return ['/items', '/suppliers', '/settings'];
    case 'purchase':
      return ['/purchases', `/purchases/${id}`, '/rack', '/rack/ledger', '/items'];
    case 'calendar':
      return ['/calendar', '/board'];
    case 'business':
      return ['/business', '/calendar', '/board'];
    case 'settings':
      return ['/settings'];
    case 'person':
      return ['/people', '/crews'];
    default:
      return [];
  }
};
