export default blendRoutes.put()
