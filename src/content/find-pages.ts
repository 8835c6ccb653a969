/** A page of the app that is found by what one types, in either English. */
export type FindPage = {
  /** Under the home’s address; from the root where it begins with a slash. */
  path: string;
  title: string;
  detail: string;
  /** Words one may type for it, beside those of its title. */
  words: readonly string[];
};

const page = (path: string, title: string, detail: string, ...words: string[]): FindPage => ({
  path,
  title,
  detail,
  words,
});

/** Every page one may want without knowing where it hangs. */
export const FIND_PAGES: readonly FindPage[] = [
  page("", "Today", "what is due, past and open", "start", "home", "due", "overdue"),
  page("house", "House", "every machine where it stands", "machines", "units", "section", "map"),
  page("year", "Year", "the rounds of the year", "plan", "calendar", "schedule", "rounds"),
  page("year/people", "Who goes round", "days, absences", "people", "vacation", "holiday", "away"),
  page("year/technician", "Technician’s days", "visits to ask for", "appointment", "contractor"),
  page("visits", "Technician’s visits", "planned and over", "service", "engineer", "tune-up"),
  page("watch", "On watch", "readings and things to keep an eye on", "warnings", "alerts"),
  page("breakdowns", "Breakdowns", "what stopped, and why", "failure", "fault", "broke", "repair"),
  page("breakdowns/new", "It broke down", "write down what happened", "broken", "stopped", "dead"),
  page("noticed", "Noticed", "a smell, a noise, weak air", "noisy", "symptom", "sign", "problem"),
  page("reading", "Note a reading", "what was measured or seen", "measure", "pressure", "meter"),
  page("look", "Note a look", "how a filter looks", "filter", "inspect", "check"),
  page(
    "jobs",
    "Jobs that come round",
    "all of them, with their days",
    "tasks",
    "intervals",
    "maintenance",
  ),
  page(
    "when-last",
    "When was it last done?",
    "what nobody has said yet",
    "history",
    "past",
    "last",
  ),
  page(
    "procedures",
    "How each job is done",
    "step by step",
    "instructions",
    "manual",
    "guide",
    "how",
  ),
  page("tools", "Tools and consumables", "what to have", "shopping", "supplies", "parts"),
  page(
    "shut-offs",
    "How to shut things off",
    "the sheet for the cupboard door",
    ...[
      "shut",
      "off",
      "shutoff",
      "stopcock",
      "stop",
      "cock",
      "isolate",
      "isolator",
      "valve",
      "main",
    ],
    ...["mains", "breaker", "fuse", "gas", "water", "power", "electricity"],
  ),
  page("as-it-should-be", "As it should be", "settings and positions", "settings", "thermostat"),
  page(
    "household",
    "People and surroundings",
    "what fills filters: animals, dust, smoke",
    ...["pets", "dog", "cat", "asthma", "allergy", "renovation", "smoke", "away", "family"],
  ),
  page(
    "rooms",
    "Rooms and registers",
    "where air comes in",
    "vents",
    "grilles",
    "diffusers",
    "levels",
  ),
  page("systems", "Air systems", "what runs together", "fan", "ducts", "airflow"),
  page(
    "contacts",
    "Contacts",
    "whom to call",
    "phone",
    "technician",
    "plumber",
    "supplier",
    "landlord",
  ),
  page(
    "instruments",
    "Instruments",
    "what readings are taken with",
    "meter",
    "gauge",
    "calibration",
  ),
  page(
    "edit",
    "Home and climate",
    "units, money, time zone, weather",
    ...[
      "settings",
      "units",
      "currency",
      "celsius",
      "fahrenheit",
      "timezone",
      "language",
      "climate",
    ],
  ),
  page("walk", "The first walk", "once round the house", "setup", "set", "begin", "tour"),
  page("units/new", "Add a unit", "a machine or an alarm", "new", "machine", "enter", "appliance"),
  page(
    "removed",
    "Removed things",
    "to be brought back",
    "trash",
    "bin",
    "deleted",
    "undo",
    "restore",
  ),
  page(
    "/welcome#copies",
    "Go back to a copy",
    "of everything",
    "backup",
    "restore",
    "copy",
    "export",
    "import",
  ),
];

/** What a page’s own words may be called elsewhere: each is found by the others. */
export const SYNONYMS: readonly (readonly string[])[] = [
  ["furnace", "heater", "heating"],
  ["boiler", "hydronic", "radiator", "radiators"],
  ["ac", "aircon", "cooling", "conditioner", "cooler"],
  ["stopcock", "shutoff", "shut", "valve", "isolator", "main", "mains"],
  ["torch", "flashlight"],
  ["tap", "faucet"],
  ["beeps", "beep", "beeping", "chirps", "chirp", "chirping"],
  ["noisy", "noise", "loud", "squeals", "rattles", "bang", "whistles"],
  ["cold", "cool"],
  ["warranty", "guarantee"],
  ["budget", "cost", "costs", "money", "price", "spend"],
  ["dryer", "tumble", "lint"],
  ["duct", "ducts", "vent", "vents"],
  ["drain", "condensate", "trap"],
  ["filter", "filters"],
  ["hood", "extractor"],
];
