import { readOut } from './readOut.ts';
import type { Units } from './readOut.ts';

const MM: Units = { style: 'mm', denominator: 16 };
const FEET: Units = { style: 'feet-inches', denominator: 16 };
const NAMES = /½ in hardware cloth|2½ in pocket screws?/g;

describe('a sentence read out in millimetres', () => {
  // Worked by hand from 25.4 mm, 0.45359237 kg, 0.09290304 m², 1.609344 km, 0.04788026 kPa.
  it.each([
    ['The door is 24.3″ clear under its header.', 'The door is 617 mm clear under its header.'],
    ['267 × 63″ does not stand', '6782 × 1600 mm does not stand'],
    ['24, 36 and 48″ wide: at 24″ the mesh', '610, 914 and 1219 mm wide: at 610 mm the mesh'],
    ['Above the floor; 8 to 10″ holds deep litter.', 'Above the floor; 203 to 254 mm holds deep litter.'],
    ['a hole of 12 by 12 in cut through deck', 'a hole of 305 by 305 mm cut through deck'],
    ['two gaps differ by ¼ in.', 'two gaps differ by 6 mm.'],
    ['No gap lets a ½ in bar in below', 'No gap lets a 13 mm bar in below'],
    ['A flat pen of 2 to 3½ ft, pulled', 'A flat pen of 0.61 to 1.07 m, pulled'],
    ['The house has 18 sq ft inside', 'The house has 1.67 m² inside'],
    ['A roof of 143 sq ft drips', 'A roof of 13.3 m² drips'],
    ['5,253 lb is more than it carries (5200 lb).', '2,383 kg is more than it carries (2,359 kg).'],
    ['341 to 511 lb on the tongue', '155 to 232 kg on the tongue'],
    ['A storm brings 45 mph and more.', 'A storm brings 72 km/h and more.'],
    ['the ground snow load here is 30 psf.', 'the ground snow load here is 1.44 kPa.'],
    ['after the first 10 miles.', 'after the first 16 km.'],
    [`64 1/2" and 5' 4 1/2"`, '1638 mm and 1638 mm'],
    ['41 1/4″ up', '1048 mm up'],
    ['Paint over 50 °F.', 'Paint over 10 °C.'],
    // No lengths: slopes, counts, marks, shares, names of stock.
    ['A lean-to over 3 in 12 gets a very high front.', 'A lean-to over 3 in 12 gets a very high front.'],
    ['1.1 in 12 is flatter than 2 in 12.', '1.1 in 12 is flatter than 2 in 12.'],
    ['Two adults carry 160 lb in all', 'Two adults carry 73 kg in all'],
    ['Measure in place: B1, B2, B3.', 'Measure in place: B1, B2, B3.'],
    ['Only 3 of 4 nipples', 'Only 3 of 4 nipples'],
    ['Doors take 75 % of the back wall.', 'Doors take 75 % of the back wall.'],
    ['4 in the wall, 2 in all', '4 in the wall, 2 in all'],
    ['a 2½ in pocket screw every 3 in', 'a 2½ in pocket screw every 76 mm'],
    ['½ in hardware cloth, lapped 2 in', '½ in hardware cloth, lapped 51 mm'],
    ['the 2×4 at 45°', 'the 2×4 at 45°'],
  ])('%s', (text, read) => expect(readOut(text, MM, NAMES)).toBe(read));
});

describe('a sentence read out in feet and inches', () => {
  it.each([
    ['Make it 104″ long', `Make it 8' 8" long`],
    ['Legs of 37.5″ stand', `Legs of 3' 1 1/2" stand`],
    ['8 to 10″ holds deep litter', '8 to 10″ holds deep litter'],
    ['over ½″', 'over ½″'],
    ['18 sq ft, 40 lb', '18 sq ft, 40 lb'],
    [`64 1/2" long`, `5' 4 1/2" long`],
  ])('%s', (text, read) => expect(readOut(text, FEET, NAMES)).toBe(read));
});

describe('a sentence read out in inches', () => {
  it('stays as it is written', () =>
    expect(readOut('267 × 63″, 5200 lb', { style: 'inches', denominator: 32 })).toBe('267 × 63″, 5200 lb'));
});
