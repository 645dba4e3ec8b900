/**
 * Around expo-router's table of routes. It asks each layout for settings while it puts the table together; layouts
 * here come later and have none, but asking has all of them fetched, whatever page is opened.
 */
const core = require('expo-router/build/getRoutesCore');

exports.getRoutes = function getRoutes(context, options) {
  let table = false;
  const asked = Object.assign((name) => (table ? context(name) : {}), context);
  const routes = core.getRoutes(asked, options);
  table = true;
  return routes;
};
