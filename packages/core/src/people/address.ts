import formatter from '@fragaria/address-formatter';

import { countryOf } from './countries';

/** The parts of an address in the order in which a card has them (RFC 6350, section 6.3.1). */
export interface AddressParts {
  readonly box: string;
  readonly more: string;
  readonly street: string;
  readonly town: string;
  readonly region: string;
  readonly code: string;
  readonly country: string;
}

export function addressParts(value: readonly string[]): AddressParts {
  const [box = '', more = '', street = '', town = '', region = '', code = '', country = ''] = value.map((part) =>
    part.trim(),
  );
  return { box, more, street, town, region, code, country };
}

/**
 * An address as its country writes it, line by line (templates of OpenCage's address-formatting, by way of
 * @fragaria/address-formatter). Where it is at home the country is left out. `home`: ISO 3166-1.
 */
export function writeAddress(parts: AddressParts, home: string): string {
  const { box, more, street, town, region, code, country } = parts;
  const countryCode = countryOf(country) ?? (country === '' ? home : null);
  const lines = formatter.format(
    {
      ...(street === '' ? {} : { road: street }),
      ...(town === '' ? {} : { city: town }),
      ...(region === '' ? {} : { state: region }),
      ...(code === '' ? {} : { postcode: code }),
      ...(country === '' || countryCode === home ? {} : { country }),
      ...(countryCode === null ? {} : { countryCode }),
    },
    { output: 'array' },
  );
  // What no template knows stands before the street.
  const before = [box, more].filter((part) => part !== '');
  return (
    [...before, ...lines]
      // A template may end a line with a mark behind a number that stands in the street here.
      .map((line) => line.trim().replace(/\s+[.,]$/u, ''))
      .filter((line) => line !== '')
      .join('\n')
  );
}
