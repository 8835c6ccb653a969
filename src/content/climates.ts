/** Rough starting points for someone who does not know the normals of their place; °C. */
export type ClimateStart = {
  id: string;
  name: string;
  monthlyMeanC: number[];
  heatingDesignC: number;
  coolingDesignMeanC: number;
  dailyRangeC: number;
};

/** Made up after the broad climate types, not after any one place. */
export const CLIMATE_STARTS: readonly ClimateStart[] = [
  {
    id: "cold-inland",
    name: "Long cold winters, humid summers",
    monthlyMeanC: [-9, -7, -1, 7, 13, 18, 21, 20, 15, 8, 1, -6],
    heatingDesignC: -24,
    coolingDesignMeanC: 26,
    dailyRangeC: 10,
  },
  {
    id: "mild-coast",
    name: "Mild and wet all year, near a sea",
    monthlyMeanC: [5, 5, 7, 9, 12, 15, 17, 17, 15, 11, 8, 6],
    heatingDesignC: -4,
    coolingDesignMeanC: 22,
    dailyRangeC: 7,
  },
  {
    id: "four-seasons",
    name: "Cool winters, warm summers",
    monthlyMeanC: [1, 2, 6, 10, 15, 18, 20, 20, 15, 10, 5, 2],
    heatingDesignC: -12,
    coolingDesignMeanC: 25,
    dailyRangeC: 9,
  },
  {
    id: "hot-dry",
    name: "Mild winters, hot dry summers",
    monthlyMeanC: [10, 12, 15, 18, 23, 28, 31, 30, 27, 21, 14, 10],
    heatingDesignC: 0,
    coolingDesignMeanC: 34,
    dailyRangeC: 14,
  },
  {
    id: "hot-humid",
    name: "Mild winters, hot and humid summers",
    monthlyMeanC: [11, 13, 16, 20, 24, 27, 28, 28, 26, 21, 16, 12],
    heatingDesignC: -2,
    coolingDesignMeanC: 31,
    dailyRangeC: 10,
  },
  {
    id: "tropical",
    name: "Warm all year, near the equator",
    monthlyMeanC: [27, 27, 27, 28, 28, 27, 27, 27, 27, 27, 27, 27],
    heatingDesignC: 20,
    coolingDesignMeanC: 30,
    dailyRangeC: 8,
  },
  {
    id: "dry-inland",
    name: "Cold dry winters, warm dry summers",
    monthlyMeanC: [-3, 0, 4, 9, 14, 19, 23, 22, 17, 10, 3, -2],
    heatingDesignC: -17,
    coolingDesignMeanC: 28,
    dailyRangeC: 16,
  },
  {
    id: "high",
    name: "High in the mountains",
    monthlyMeanC: [-6, -6, -3, 2, 7, 12, 15, 15, 11, 5, -1, -5],
    heatingDesignC: -20,
    coolingDesignMeanC: 20,
    dailyRangeC: 12,
  },
  {
    id: "southern-four-seasons",
    name: "Southern hemisphere, cool winters",
    monthlyMeanC: [20, 20, 17, 14, 11, 8, 7, 8, 11, 13, 16, 18],
    heatingDesignC: -2,
    coolingDesignMeanC: 25,
    dailyRangeC: 10,
  },
];
