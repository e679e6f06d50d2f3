/** A boat on the water, so many pixels a side, for what is recoloured: hull, sail and mast each with light and shade of its own. */
export const boat = (side: number): Buffer =>
  Buffer.from(`<svg xmlns="http://www.w3.org/2000/svg" width="${side}" height="${side}" viewBox="0 0 1200 1200">
  <defs>
    <linearGradient id="hull" x2="0" y2="1"><stop offset="0" stop-color="#8a6a48"/><stop offset="1" stop-color="#4e3722"/></linearGradient>
    <linearGradient id="sail"><stop offset="0" stop-color="#f4f6f8"/><stop offset="1" stop-color="#c3cbd4"/></linearGradient>
    <linearGradient id="sky" x2="0" y2="1"><stop offset="0" stop-color="#6fa3c8"/><stop offset="1" stop-color="#b9d4e2"/></linearGradient>
  </defs>
  <rect width="1200" height="1200" fill="url(#sky)"/>
  <rect y="900" width="1200" height="300" fill="#3d6f86"/>
  <rect x="585" y="160" width="26" height="620" fill="#c98f2d"/>
  <path d="M620 190 L980 740 L620 740Z" fill="url(#sail)"/>
  <path d="M240 780 H980 L860 960 H360Z" fill="url(#hull)"/>
</svg>`);
