export default shortWordRoutes.put()
