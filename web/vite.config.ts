import tailwindcss from "@tailwindcss/vite";
import react from "@vitejs/plugin-react";
import { defineConfig, type Plugin } from "vite";
import { VitePWA } from "vite-plugin-pwa";

const PHONE = /\/features\/training\/(phone|run)\//;

/** Scripts that an athlete's phone needs: the entry's, the phone's pages and all that they load. */
const forPhone = new Set<string>();

const phoneScripts: Plugin = {
  name: "phone-scripts",
  generateBundle(_, bundle) {
    const walk = (name: string) => {
      const chunk = bundle[name];
      if (forPhone.has(name) || chunk?.type !== "chunk") return;
      forPhone.add(name);
      chunk.imports.forEach(walk);
      const later = chunk.dynamicImports.map((other) => [other, bundle[other]] as const);
      for (const [other, found] of later)
        if (found?.type === "chunk" && PHONE.test(found.facadeModuleId ?? "")) walk(other);
    };
    for (const [name, chunk] of Object.entries(bundle))
      if (chunk.type === "chunk" && chunk.isEntry) walk(name);
  },
};

export default defineConfig({
  plugins: [
    react(),
    tailwindcss(),
    phoneScripts,
    // The phone's pages open with no network; what they show of an athlete is kept elsewhere.
    VitePWA({
      registerType: "autoUpdate",
      injectRegister: null,
      includeManifestIcons: false, // the assets take them in already
      manifest: {
        name: "Invelo",
        short_name: "Invelo",
        description: "Today's session, set by set",
        start_url: "/phone",
        scope: "/",
        display: "standalone",
        background_color: "#fbfaf5",
        theme_color: "#16243a",
        icons: [
          { src: "/assets/icon-192.png", sizes: "192x192", type: "image/png" },
          { src: "/assets/icon-512.png", sizes: "512x512", type: "image/png" },
          { src: "/assets/mark.svg", sizes: "any", type: "image/svg+xml" },
        ],
      },
      workbox: {
        globPatterns: ["index.html", "assets/**/*.{js,css,woff2,svg,png}"],
        globIgnores: ["assets/**/*cyrillic*", "assets/**/*greek*", "assets/**/*vietnamese*"],
        // no coach's code lies on an athlete's phone
        manifestTransforms: [
          (entries) => ({
            manifest: entries.filter(({ url }) => !url.endsWith(".js") || forPhone.has(url)),
            warnings: [],
          }),
        ],
        navigateFallback: "/index.html",
        navigateFallbackAllowlist: [/^\/phone/, /^\/open/],
        cleanupOutdatedCaches: true,
        inlineWorkboxRuntime: true,
      },
    }),
  ],
  build: { assetsInlineLimit: 0, target: "es2022" },
  server: { proxy: { "/api": "http://127.0.0.1:8400" } },
});
