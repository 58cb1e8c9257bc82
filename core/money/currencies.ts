const coded = (...lines: string[]): readonly string[] => lines.join(' ').split(' ');

/**
 * The currencies of ISO 4217, list one, by the decimals they are written with; without funds, metals and codes for
 * testing, in which nobody pays. Published 25 June 2024 by the maintenance agency; the test reads it against a package
 * that carries the list.
 */
export const CODES_BY_DECIMALS: Readonly<Record<number, readonly string[]>> = {
  0: coded('BIF CLP DJF GNF ISK JPY KMF KRW PYG RWF UGX VND VUV XAF XOF XPF'),
  2: coded(
    'AED AFN ALL AMD ANG AOA ARS AUD AWG AZN BAM BBD BDT BGN BMD BND BOB BRL BSD BTN BWP BYN BZD',
    'CAD CDF CHF CNY COP CRC CUC CUP CVE CZK DKK DOP DZD EGP ERN ETB EUR FJD FKP GBP GEL',
    'GHS GIP GMD GTQ GYD HKD HNL HTG HUF IDR ILS INR IRR JMD KES KGS KHR KPW KYD KZT LAK LBP LKR LRD',
    'LSL MAD MDL MGA MKD MMK MNT MOP MRU MUR MVR MWK MXN MYR MZN NAD NGN NIO NOK NPR NZD PAB PEN',
    'PGK PHP PKR PLN QAR RON RSD RUB SAR SBD SCR SDG SEK SGD SHP SLE SOS SRD SSP STN SVC SYP SZL THB',
    'TJS TMT TOP TRY TTD TWD TZS UAH USD UYU UZS VED VES WST XCD YER ZAR ZMW ZWG',
  ),
  3: coded('BHD IQD JOD KWD LYD OMR TND'),
};
