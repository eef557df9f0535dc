import tailwindcss from "@tailwindcss/vite";
import react from "@vitejs/plugin-react";
import { defineConfig } from "vite";
import { VitePWA } from "vite-plugin-pwa";

export default defineConfig({
  plugins: [
    react(),
    tailwindcss(),
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
