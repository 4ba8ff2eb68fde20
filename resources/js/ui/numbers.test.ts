import { describe, expect, test } from 'vitest';
import { fitted, readNumber, type NumberRange } from './numbers';

const kelvin: NumberRange = { unit: 'K', least: 1000, most: 25000 };
const stops: NumberRange = { unit: 'stops', least: -6, most: 6 };
const px: NumberRange = { unit: 'px', least: 0, most: 10000, shortSide: 1000 };
const percent: NumberRange = { unit: '%', least: 0, most: 100 };
const degrees: NumberRange = { unit: '°', least: -360, most: 360 };

const value = (text: string, range: NumberRange) => {
    const typed = readNumber(text, range);
    return 'value' in typed ? typed.value : null;
};

describe('separators', () => {
    test.each([
        ['12 000', kelvin, 12000],
        ['12,000', kelvin, 12000],
        ['12.000,5', kelvin, 12000.5],
        ['12,000.5', kelvin, 12000.5],
        ['12’000 K', kelvin, 12000],
        ['12_000', kelvin, 12000],
        ['12\u202f000', kelvin, 12000],
        ['1.000.000', { ...px, most: 1e7 }, 1000000],
        ['1,5', stops, 1.5],
        ['1,500', stops, 1.5],
        ['0,125', stops, 0.125],
        ['.25', stops, 0.25],
        [',25', stops, 0.25],
        ['−1,5 stops', stops, -1.5],
        ['5.6e3', kelvin, 5600],
    ])('%s', (text, range, expected) => expect(value(text, range)).toBeCloseTo(expected, 9));
});

describe('fractions and sums', () => {
    test.each([
        ['1/2', stops, 0.5],
        ['-1/3', stops, -1 / 3],
        ['1 + 1/2', stops, 1.5],
        ['3200 + 2*50', kelvin, 3300],
        ['(1+2)×2', stops, 6],
        ['100 ÷ 8 %', percent, 12.5],
        ['2 - -1', stops, 3],
        ['10-2-3', px, 5],
    ])('%s', (text, range, expected) => expect(value(text, range)).toBeCloseTo(expected, 9));
});

describe('units', () => {
    test.each([
        ['2.5 %', px, 25],
        ['25 px + 1 %', px, 35],
        ['200 mired', kelvin, 5000],
        ['45°', degrees, 45],
        ['1.5707963 rad', degrees, 90],
        ['+1 stop', stops, 1],
    ])('%s', (text, range, expected) => expect(value(text, range)).toBeCloseTo(expected, 5));
});

test.each(['bright', '', '12 00', '1..2', '1/0', '3200 lux', '5 px', '2 (3)', '1 +', '--', '1,00,000'])('"%s" is not taken for a temperature', (text) => {
    expect(readNumber(text, kelvin)).toHaveProperty('problem');
});

test('what is brought into its range is said', () => {
    expect(fitted(30000, 'Temperature', kelvin)).toEqual({ value: 25000, said: 'Temperature goes from 1000 K to 25000 K: 30000 K became 25000 K.' });
    expect(fitted(3200, 'Temperature', kelvin)).toEqual({ value: 3200, said: null });
});
