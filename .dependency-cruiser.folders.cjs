const { options } = require('./.dependency-cruiser.cjs');

/** Between the folders of core no arrows run to and fro. Tests stand beside what they test and may reach further. */
module.exports = {
  forbidden: [
    {
      name: 'core-folders-one-way',
      comment: 'what a folder of core needs must not need it',
      severity: 'error',
      scope: 'folder',
      from: { path: '^core/' },
      to: { circular: true },
    },
  ],
  options: { ...options, exclude: { path: '(^|/)build/|(^|/)dist/|\\.test\\.ts$' } },
};
