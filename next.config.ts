import path from "node:path";
import type { NextConfig } from "next";

const securityHeaders = [
  // The app fetches nothing from elsewhere; this makes the browser hold it to that.
  {
    key: "Content-Security-Policy",
    value: [
      "default-src 'self'",
      // Next writes its start-up data as inline scripts; development needs eval for hot reload.
      `script-src 'self' 'unsafe-inline'${process.env.NODE_ENV === "development" ? " 'unsafe-eval'" : ""}`,
      "style-src 'self' 'unsafe-inline'",
      "img-src 'self' data: blob:",
      "frame-ancestors 'none'",
      "base-uri 'self'",
      "form-action 'self'",
    ].join("; "),
  },
  { key: "Referrer-Policy", value: "same-origin" },
  { key: "X-Content-Type-Options", value: "nosniff" },
  // Pictures and papers are not shown on other sites, nor any page inside another.
  { key: "Cross-Origin-Resource-Policy", value: "same-origin" },
  { key: "Cross-Origin-Opener-Policy", value: "same-origin" },
];

const config: NextConfig = {
  reactStrictMode: true,
  poweredByHeader: false,
  agentRules: false,
  devIndicators: false,
  serverExternalPackages: ["pdfkit", "@libsql/client", "libsql"],
  // npm test checks types, three times as fast as the build would.
  typescript: { ignoreBuildErrors: true },
  experimental: {
    // A picture of 20 MB comes through the check of its origin whole.
    proxyClientMaxBodySize: "22mb",
    // Reading every page's code at the start held the first answer up by most of a second.
    preloadEntriesOnStart: false,
  },
  turbopack: { root: path.resolve(".") },
  // Asked for by browsers of pages that name no icon, such as a label that is an address of its own.
  rewrites: async () => [{ source: "/favicon.ico", destination: "/icon.svg" }],
  headers: async () => [{ source: "/:path*", headers: securityHeaders }],
};

export default config;
