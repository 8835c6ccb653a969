/** A number as one dials it. */
export const PHONE = /^[+\d][\d\s()/.-]{1,}$/;
export const PHONE_WORDS = "Digits, as one dials them: +99 555 0142.";
