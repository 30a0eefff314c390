export default ribbonRoutes.put()
