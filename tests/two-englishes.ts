/** What nobody says who buys filters in inches. */
export const BRITISH =
  /\b(torch|torches|grey|mould|colours?|coloured|draughts?|spanner|programme|litres?|metres?|odours?|vapour|fibre\w*|cellars?|lofts?|licence|neighbours?|stopcock|centre|ageing|tyres?|storeys?|autumn|labelled|lagging|cookers?|hob|gas cock|mains|isolator)\b/i;
/** What nobody says who buys them in millimetres. */
export const AMERICAN =
  /\b(flashlights?|gray|mold|colors?|colored|drafts?|wrench|faucet|quarts?|feet|odors?|vapor|fiber\w*|attics?|license|neighbors?|gallons?|center)\b/i;
