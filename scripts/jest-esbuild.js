const { transformSync } = require('esbuild');

/**
 * TypeScript for Jest's Node project by esbuild, which tsx has here anyway: a cold run of all tests then takes
 * a third of the time that Babel took. It lifts no `jest.mock` above the imports.
 */
module.exports = {
  process: (source, file) => {
    const { code } = transformSync(source, {
      loader: file.endsWith('x') ? 'tsx' : /\.[mc]?ts$/.test(file) ? 'ts' : 'js',
      format: 'cjs',
      supported: { 'dynamic-import': false },
      target: 'node20',
      jsx: 'automatic',
      sourcefile: file,
      sourcemap: 'inline',
    });
    return { code };
  },
};
