// Node runs the sources themselves: node --import ./scripts/lib/sources.mjs --conditions=rubbet-source
import { register } from 'node:module';

register('./loadSource.mjs', import.meta.url);
