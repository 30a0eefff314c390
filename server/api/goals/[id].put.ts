export default goalRoutes.put()
