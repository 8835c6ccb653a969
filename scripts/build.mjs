import { build, install } from "./project.mjs";

install();
build();
