export default marketRoutes.put()
