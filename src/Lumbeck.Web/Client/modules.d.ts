declare module 'htmx.org/dist/htmx.esm.js' {
  const htmx: unknown;
  export default htmx;
}
