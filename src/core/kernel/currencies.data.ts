/**
 * Active national currencies by ISO 4217 code with their minor-unit exponent, kept as our own table
 * (source: ISO 4217 list one, from memory). Most have two decimals; the others are listed with theirs.
 */
const twoDecimals =
  'AED AFN ALL AMD AOA ARS AUD AWG AZN BAM BBD BDT BMD BND BOB BRL BSD BTN BWP BYN BZD CAD CDF CHF CNY COP CRC CUP CVE CZK DKK DOP DZD EGP ERN ETB EUR FJD FKP GBP GEL GHS GIP GMD GTQ GYD HKD HNL HTG HUF IDR ILS INR IRR JMD KES KGS KHR KPW KYD KZT LAK LBP LKR LRD LSL MAD MDL MGA MKD MMK MNT MOP MRU MUR MVR MWK MXN MYR MZN NAD NGN NIO NOK NPR NZD PAB PEN PGK PHP PKR PLN QAR RON RSD RUB SAR SBD SCR SDG SEK SGD SHP SLE SOS SRD SSP STN SVC SYP SZL THB TJS TMT TOP TRY TTD TWD TZS UAH USD UYU UZS VES WST XCD YER ZAR ZMW';
const noDecimals = 'BIF CLP DJF GNF ISK JPY KMF KRW PYG RWF UGX UYI VND VUV XAF XOF XPF';
const threeDecimals = 'BHD IQD JOD KWD LYD OMR TND';

const exponents = new Map<string, number>([
  ...twoDecimals.split(' ').map((code): [string, number] => [code, 2]),
  ...noDecimals.split(' ').map((code): [string, number] => [code, 0]),
  ...threeDecimals.split(' ').map((code): [string, number] => [code, 3]),
]);

/** All currency codes we know, sorted. */
export const currencyCodes: readonly string[] = [...exponents.keys()].sort();

/**
 * Decimals of a currency's minor unit: 2 for USD, 0 for JPY, 3 for KWD.
 * @throws RangeError for a code that is not in the table
 */
export function currencyExponent(code: string): number {
  const exponent = exponents.get(code);
  if (exponent === undefined) throw new RangeError(`no currency "${code}" in the ISO 4217 table`);
  return exponent;
}
