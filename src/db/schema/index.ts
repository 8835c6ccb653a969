export * from "./homes";
export * from "./units";
export * from "./parts";
export * from "./drivers";
export * from "./tasks";
export * from "./history";
export * from "./runs";
