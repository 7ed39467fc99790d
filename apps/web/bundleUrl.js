/** Where this page or worker is from: scripts are asked for by absolute paths, so any address of the site will do. */
exports.getBundleUrl = () => globalThis.location.href;
