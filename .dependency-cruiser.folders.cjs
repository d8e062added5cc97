const base = require('./.dependency-cruiser.cjs');

/** The product alone: folders of the core depend on one another without circles. */
module.exports = {
  forbidden: [
    {
      name: 'folders of the core without circles',
      severity: 'error',
      scope: 'folder',
      from: { path: '^src/core/' },
      to: { circular: true },
    },
  ],
  options: { ...base.options, exclude: { path: '(\\.test\\.tsx?$|^tests/)' } },
};
