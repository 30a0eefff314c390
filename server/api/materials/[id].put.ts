export default materialRoutes.put()
