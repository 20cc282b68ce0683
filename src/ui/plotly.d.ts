declare module 'plotly.js' {
  const Plotly: object;
  export default Plotly;
}
