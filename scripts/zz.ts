import { searchLong } from "./bench-plans";
searchLong();
