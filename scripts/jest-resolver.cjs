// NodeNext sources import './x.js' and mean ./x.ts; packages in node_modules mean what they say.
module.exports = (request, options) => {
  if (/^\.{1,2}\/.*\.js$/.test(request) && !options.basedir.includes('/node_modules/')) {
    for (const ending of ['.ts', '.tsx']) {
      try {
        return options.defaultResolver(request.replace(/\.js$/, ending), options);
      } catch {
        // not this one
      }
    }
  }
  return options.defaultResolver(request, options);
};
