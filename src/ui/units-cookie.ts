/** Where the browser keeps the units it shows; read by the server so that a page comes in them. */
export const UNITS_COOKIE = 'taller-units';
/** And the mark before decimals. */
export const DECIMAL_COOKIE = 'taller-decimal';
