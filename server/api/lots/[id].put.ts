export default lotRoutes.put()
